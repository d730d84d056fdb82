import type { LightThresholdCalibration } from '../calibrationValues/lightThreshold';
import type { DeviceOf } from '../devices/device';

/** Where a sensor's readings become the line's, and the floor's again, as shares of its whole scale. */
export interface ThresholdShares {
  enterShare: number;
  leaveShare: number;
  lineIs: 'darker' | 'lighter';
}

/** So much of the way between both readings lies between going onto the line and coming off it. */
const HYSTERESIS = 0.2;

/**
 * By the threshold that holds; where none does, or nobody knows its largest reading, about the middle of what the
 * record says that both read.
 */
export function thresholdShares(
  held: LightThresholdCalibration | null,
  { floorShare, lineShare }: DeviceOf<'light sensor'>['behaviour'],
): ThresholdShares {
  const within = (share: number) => Math.min(1, Math.max(0, share));
  if (held !== null && held.full !== null) {
    return {
      enterShare: within(held.enter / held.full),
      leaveShare: within(held.leave / held.full),
      lineIs: held.lineIs,
    };
  }
  const middle = (floorShare + lineShare) / 2;
  const half = (HYSTERESIS / 2) * (lineShare - floorShare);
  return {
    enterShare: within(middle + half),
    leaveShare: within(middle - half),
    lineIs: lineShare < floorShare ? 'darker' : 'lighter',
  };
}
