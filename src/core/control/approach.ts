import type { Robot } from '../robot/robot';
import { lookingAhead } from '../units/ofRobot';
import { controller, type Begun, type Controller, type Law } from './controller';
import { hasEnded, type EndsWhen, type Passed } from './endsWhen';
import { PROFILE_SHARE } from './settings';
import { steer, unsteered, type Steered, type StraightStrategy } from './straight/steering';

export interface Approach {
  /** It ends when the distance reads so much or less. */
  thresholdM: number;
  speedMPerS: number;
  keep: StraightStrategy;
  timeoutS: number;
}

interface Told extends Omit<Approach, 'thresholdM'> {
  endsWhen: EndsWhen;
  /** So much faster from one tick to the next. */
  rampMPerS: number;
}

const LAW: Law<Told, Begun & Passed & Steered & { speedMPerS: number }> = {
  begin: () => ({ startS: null, passed: 0, ...unsteered(), speedMPerS: 0 }),
  tick({ endsWhen, speedMPerS, rampMPerS, keep, timeoutS }, kept, now, wheels) {
    if (endsWhen.of === null) return 'no-sensor';
    kept.startS ??= now.timeS;
    if (hasEnded(endsWhen, kept, now)) return 'done';
    if (now.timeS - kept.startS > timeoutS) return 'time';
    const speed = Math.min(speedMPerS, kept.speedMPerS + rampMPerS);
    kept.speedMPerS = speed;
    const half = steer(keep, kept, now) / 2;
    wheels.leftMPerS = speed - half;
    wheels.rightMPerS = speed + half;
    return 'go on';
  },
};

/** Drive ahead until the distance reading is at or under a threshold; a lost echo is no reading. */
export function approach({ thresholdM, ...told }: Approach, robot: Robot): Controller {
  const unit = lookingAhead(robot);
  const of = unit && { unitId: unit.id, channel: 'distance' };
  return controller(LAW, {
    ...told,
    endsWhen: { of, passes: 'below', value: thresholdM, confirmations: 1 },
    rampMPerS: PROFILE_SHARE * robot.motors.maxAccelerationMPerS2 * robot.loopPeriodS,
  });
}
