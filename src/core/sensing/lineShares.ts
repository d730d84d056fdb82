import type { DeviceOf } from '../devices/device';

/** Where a sensor's readings become the line's, and the floor's again, as shares of its whole scale. */
export interface LineShares {
  enterShare: number;
  leaveShare: number;
  lineIs: 'darker' | 'lighter';
}

/** So much of the way between both readings lies between going onto the line and coming off it. */
const HYSTERESIS = 0.2;

/**
 * About the middle of what a light sensor reads over line and floor, as it is computed with. Of a line on the floor's other
 * side, which nobody has read, as far beyond the floor.
 *
 * @param lineIs left out: as the sensor's own line is
 */
export function lineShares(
  { floorShare, lineShare }: DeviceOf<'light sensor'>['behaviour'],
  lineIs: LineShares['lineIs'] = lineShare < floorShare ? 'darker' : 'lighter',
): LineShares {
  const within = (share: number) => Math.min(1, Math.max(0, share));
  const side = lineIs === 'darker' ? -1 : 1;
  const span = Math.abs(lineShare - floorShare);
  const middle = floorShare + (side * span) / 2;
  const half = (side * HYSTERESIS * span) / 2;
  return {
    enterShare: within(middle + half),
    leaveShare: within(middle - half),
    lineIs,
  };
}
