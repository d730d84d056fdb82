import { wrap } from '../geometry/angle';
import type { LapReturn } from './squarePath';

/** A lap as it was measured: from the mark, or from where the lap before it had ended. */
export interface MeasuredLap extends LapReturn {
  /** Not placed anew: it began where the lap before it in the list ended. */
  goesOn: boolean;
}

/** A pose as it is seen from another one. */
function seenFrom(from: LapReturn, { xM, yM, headingRad }: LapReturn): LapReturn {
  const [c, s] = [Math.cos(from.headingRad), Math.sin(from.headingRad)];
  const [dx, dy] = [xM - from.xM, yM - from.yM];
  return {
    xM: c * dx + s * dy,
    yM: c * dy - s * dx,
    headingRad: wrap(headingRad - from.headingRad),
  };
}

/**
 * What each lap by itself ended off its own beginning. Laps that go on without being placed anew are measured from
 * the first mark, and what counts of each is by how much it grew: what the laps before it had left over is no error
 * of its own.
 *
 * @param laps in the order in which they were driven
 */
export const ownReturns = <L extends MeasuredLap>(laps: readonly L[]): L[] =>
  laps.map((lap, i) => {
    const before = laps[i - 1];
    return lap.goesOn && before !== undefined ? { ...lap, ...seenFrom(before, lap) } : lap;
  });
