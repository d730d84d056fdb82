import type { Robot } from '../robot/robot';
import { lookingAhead } from '../units/ofRobot';
import type { Controller } from './controller';
import { endsWhen } from './endsWhen';
import { PROFILE_SHARE } from './settings';
import { steeringOf, type StraightStrategy } from './straight/steering';

export interface Approach {
  /** It ends when the distance reads so much or less. */
  thresholdM: number;
  speedMPerS: number;
  keep: StraightStrategy;
  timeoutS: number;
}

/** Drive ahead until the distance reading is at or under a threshold; a lost echo is no reading. */
export function approach(
  { thresholdM, speedMPerS, keep, timeoutS }: Approach,
  robot: Robot,
): Controller {
  const ramp = PROFILE_SHARE * robot.motors.maxAccelerationMPerS2 * robot.loopPeriodS;
  const steer = steeringOf(keep);
  let startS: number | null = null;
  const unit = lookingAhead(robot);
  const of = unit && { unitId: unit.id, channel: 'distance' };
  const isThere = endsWhen({ of, passes: 'below', value: thresholdM, confirmations: 1 });
  const ramped = { speed: 0 };
  return (now, wheels) => {
    if (of === null) return 'no-sensor';
    startS ??= now.timeS;
    if (isThere(now)) return 'done';
    if (now.timeS - startS > timeoutS) return 'time';
    const speed = Math.min(speedMPerS, ramped.speed + ramp);
    ramped.speed = speed;
    const half = steer(now) / 2;
    wheels.leftMPerS = speed - half;
    wheels.rightMPerS = speed + half;
    return 'go on';
  };
}
