import type { Robot } from '../robot/robot';
import { controller, type Begun, type Controller, type Tick } from './controller';
import { hasEnded, type EndsWhen, type Passed } from './endsWhen';
import { PROFILE_SHARE } from './settings';
import { steer, type Steered, type StraightStrategy } from './straight/steering';

export interface UntilRead {
  endsWhen: EndsWhen;
  /** Negative drives backwards. */
  speedMPerS: number;
  keep: StraightStrategy;
  timeoutS: number;
}

interface State extends UntilRead, Begun, Passed, Steered {
  /** So much faster from one tick to the next. */
  rampMPerS: number;
  commandedMPerS: number;
}

const tick: Tick<State> = (state, now, wheels) => {
  if (state.endsWhen.of === null) return 'no-sensor';
  state.startS ??= now.timeS;
  if (hasEnded(state.endsWhen, state, now)) return 'done';
  if (now.timeS - state.startS > state.timeoutS) return 'time';
  const sign = Math.sign(state.speedMPerS);
  const speed = Math.min(Math.abs(state.speedMPerS), state.commandedMPerS + state.rampMPerS);
  state.commandedMPerS = speed;
  const half = steer(state.keep, state, now) / 2;
  wheels.leftMPerS = sign * speed - half;
  wheels.rightMPerS = sign * speed + half;
  return 'go on';
};

/** Drive straight until something is read; a lost echo is no reading. */
export const untilRead = (
  { endsWhen, speedMPerS, keep, timeoutS }: UntilRead,
  robot: Robot,
): Controller =>
  controller<State>(tick, {
    endsWhen,
    speedMPerS,
    keep,
    timeoutS,
    rampMPerS: PROFILE_SHARE * robot.motors.maxAccelerationMPerS2 * robot.loopPeriodS,
    startS: null,
    passed: 0,
    target: null,
    commandedMPerS: 0,
  });
