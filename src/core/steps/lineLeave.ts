import type { DeviceOf } from '../devices/device';
import { lineShares } from '../sensing/lineShares';
import type { ReadingLeave } from './leave';

/** A line that is counted by what a light sensor reads: as it goes onto it, or as it comes off it. */
export function lineLeave(
  unit: DeviceOf<'light sensor'> | null,
  isDarker: boolean,
  on: 'entering' | 'leaving',
  nth: number,
): ReadingLeave {
  const { enterShare, leaveShare } =
    unit === null
      ? { enterShare: 0, leaveShare: 0 }
      : lineShares(unit.behaviour, isDarker ? 'darker' : 'lighter');
  const isEntering = on === 'entering';
  return {
    by: 'reading',
    unit,
    channel: 'light',
    is: isEntering === isDarker ? 'below' : 'above',
    value: isEntering ? enterShare : leaveShare,
    nth,
    again: isEntering ? leaveShare : enterShare,
  };
}
