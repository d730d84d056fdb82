import type { Robot } from '../robot/robot';
import { controller, type Begun, type Controller, type Readings, type Tick } from './controller';
import { hasEnded, type EndsWhen, type Passed } from './endsWhen';
import { PROFILE_SHARE } from './settings';
import { steer, type Steered, type StraightStrategy } from './straight/steering';

export interface UntilRead {
  endsWhen: EndsWhen;
  /** Negative drives backwards. */
  speedMPerS: number;
  keep: StraightStrategy;
  timeoutS: number;
  /** It rolls already as it begins. */
  fromMPerS?: number;
  /** From this reading on it goes slower; left out: it keeps its speed. */
  slows?: { at: number; speedMPerS: number } | undefined;
}

interface State extends Omit<UntilRead, 'slows' | 'fromMPerS'>, Begun, Passed, Steered {
  /** Past this reading it has the other speed; never where there is none. */
  slowAt: number;
  slowMPerS: number;
  isSlow: boolean;
  /** So much faster from one tick to the next. */
  rampMPerS: number;
  commandedMPerS: number;
}

function slowDown(state: State, now: Readings): void {
  const { endsWhen, slowAt } = state;
  if (state.isSlow || endsWhen.of === null || Number.isNaN(slowAt)) return;
  const reading = now.reading(endsWhen.of);
  if (reading === null) return;
  state.isSlow = endsWhen.passes === 'below' ? reading <= slowAt : reading >= slowAt;
}

const tick: Tick<State> = (state, now, wheels) => {
  if (state.endsWhen.of === null) return 'no-sensor';
  state.startS ??= now.timeS;
  if (hasEnded(state.endsWhen, state, now)) return 'done';
  if (now.timeS - state.startS > state.timeoutS) return 'time';
  slowDown(state, now);
  const sign = Math.sign(state.speedMPerS);
  const wanted = state.isSlow ? state.slowMPerS : Math.abs(state.speedMPerS);
  const speed = Math.min(wanted, state.commandedMPerS + state.rampMPerS);
  state.commandedMPerS = speed;
  const half = steer(state.keep, state, now) / 2;
  wheels.leftMPerS = sign * speed - half;
  wheels.rightMPerS = sign * speed + half;
  return 'go on';
};

/** Drive straight until something is read; a lost echo is no reading. */
export const untilRead = (
  { endsWhen, speedMPerS, keep, timeoutS, fromMPerS = 0, slows }: UntilRead,
  robot: Robot,
): Controller =>
  controller<State>(tick, {
    endsWhen,
    speedMPerS,
    keep,
    timeoutS,
    slowAt: slows?.at ?? Number.NaN,
    slowMPerS: slows?.speedMPerS ?? speedMPerS,
    isSlow: false,
    rampMPerS: PROFILE_SHARE * robot.motors.maxAccelerationMPerS2 * robot.loopPeriodS,
    startS: null,
    passed: 0,
    target: null,
    commandedMPerS: fromMPerS,
  });
