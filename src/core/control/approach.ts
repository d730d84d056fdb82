import type { Robot } from '../robot/robot';
import { lookingAhead } from '../devices/ofRobot';
import { controller, type Begun, type Controller, type Tick } from './controller';
import { hasEnded, type EndsWhen, type Passed } from './endsWhen';
import { PROFILE_SHARE } from './settings';
import { steer, type Steered, type StraightStrategy } from './straight/steering';

export interface Approach {
  /** It ends when the distance reads so much or less. */
  thresholdM: number;
  speedMPerS: number;
  keep: StraightStrategy;
  timeoutS: number;
}

interface State extends Omit<Approach, 'thresholdM'>, Begun, Passed, Steered {
  endsWhen: EndsWhen;
  /** So much faster from one tick to the next. */
  rampMPerS: number;
  commandedMPerS: number;
}

const tick: Tick<State> = (state, now, wheels) => {
  if (state.endsWhen.of === null) return 'no-sensor';
  state.startS ??= now.timeS;
  if (hasEnded(state.endsWhen, state, now)) return 'done';
  if (now.timeS - state.startS > state.timeoutS) return 'time';
  const speed = Math.min(state.speedMPerS, state.commandedMPerS + state.rampMPerS);
  state.commandedMPerS = speed;
  const half = steer(state.keep, state, now) / 2;
  wheels.leftMPerS = speed - half;
  wheels.rightMPerS = speed + half;
  return 'go on';
};

/** Drive ahead until the distance reading is at or under a threshold; a lost echo is no reading. */
export function approach(
  { thresholdM, speedMPerS, keep, timeoutS }: Approach,
  robot: Robot,
): Controller {
  const unit = lookingAhead(robot);
  const of = unit && { unitId: unit.id, channel: 'distance' };
  return controller<State>(tick, {
    speedMPerS,
    keep,
    timeoutS,
    endsWhen: { of, passes: 'below', value: thresholdM, confirmations: 1 },
    rampMPerS: PROFILE_SHARE * robot.motors.maxAccelerationMPerS2 * robot.loopPeriodS,
    startS: null,
    passed: 0,
    target: null,
    commandedMPerS: 0,
  });
}
