import type { DeviceOf } from '../devices/device';
import { lineShares, type LineShares } from './lineShares';

/** The spot is covered from none to all of it: half of it more or less than at the edge. */
const MOST = 0.5;

/**
 * How far past a line's edge the middle of the spot is as its reading passes the threshold: a spot of diameter d over an
 * edge covers one half and 4·x/(π·d) of its area, x past the edge, for small x.
 *
 * @param on which edge: going onto the line, or coming off it
 */
export function pastEdgeM(
  behaviour: DeviceOf<'light sensor'>['behaviour'],
  lineIs: LineShares['lineIs'],
  on: 'entering' | 'leaving',
): number {
  const { lineShare, floorShare, spotDiameterM } = behaviour;
  const { enterShare, leaveShare } = lineShares(behaviour, lineIs);
  const covered = (reading: number) => Math.abs((reading - floorShare) / (lineShare - floorShare));
  const beyondHalf = on === 'entering' ? covered(enterShare) - 0.5 : 0.5 - covered(leaveShare);
  const by = Math.max(-MOST, Math.min(MOST, beyondHalf));
  return Number.isFinite(by) ? (by * Math.PI * spotDiameterM) / 4 : 0;
}
