import type { LightThresholdCalibration } from '../calibrationValues/lightThreshold';
import type { DeviceOf } from '../devices/device';
import { lineShares, type LineShares } from '../sensing/lineShares';

/**
 * By the threshold that holds; where none does, or nobody knows its largest reading, about the middle of what the
 * record says that both read.
 */
export function thresholdShares(
  held: LightThresholdCalibration | null,
  behaviour: DeviceOf<'light sensor'>['behaviour'],
): LineShares {
  if (held === null || held.full === null) return lineShares(behaviour);
  const { enter, leave, full, lineIs } = held;
  const share = (reading: number) => Math.min(1, Math.max(0, reading / full));
  return { enterShare: share(enter), leaveShare: share(leave), lineIs };
}
