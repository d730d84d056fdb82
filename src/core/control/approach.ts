import { lookingAhead } from '../devices/ofRobot';
import type { Device } from '../devices/device';
import type { Robot } from '../robot/robot';
import type { Controller } from './controller';
import type { StraightStrategy } from './straight/steering';
import { untilRead } from './untilRead';

export interface Approach {
  /** It ends when the distance reads so much or less. */
  thresholdM: number;
  speedMPerS: number;
  keep: StraightStrategy;
  timeoutS: number;
  /** It rolls already as it begins. */
  fromMPerS?: number | undefined;
  /** The distance sensor; left out: the one that looks ahead. Null: there is none. */
  sensor?: Device | null;
  /** From this reading on it goes slower. */
  slows?: { at: number; speedMPerS: number } | undefined;
}

/** Drive ahead until the distance reading is at or under a threshold; a lost echo is no reading. */
export function approach(
  { thresholdM, speedMPerS, keep, timeoutS, fromMPerS = 0, sensor, slows }: Approach,
  robot: Robot,
): Controller {
  const unit = sensor === undefined ? lookingAhead(robot) : sensor;
  const of = unit && { unitId: unit.id, channel: 'distance' };
  const endsWhen = { of, passes: 'below', value: thresholdM, confirmations: 1 } as const;
  return untilRead({ endsWhen, speedMPerS, keep, timeoutS, fromMPerS, slows }, robot);
}
