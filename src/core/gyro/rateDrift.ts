import { student975 } from '../stats/student';
import { mean, sampleSd } from '../stats/moments';
import { withKnown } from './still/earlierChecks';
import type { RandomWalk } from './randomWalk';

/** More blocks give a smaller quantile, fewer keep slow noise in one block: 20 is a usual middle. */
const BLOCKS = 20;

/** A drift from rates with its 95 % interval. */
export interface RateDrift {
  driftRadPerS: number;
  low95: number;
  high95: number;
  /** With what was known of it before; and as this log alone tells. */
  walk: RandomWalk;
  ownWalk: RandomWalk;
  /** What rounding of the rate hides, however long the log. */
  hiddenRadPerS: number;
}

/**
 * Drift from rates at rest: their mean, with the standard error from means of blocks, so that noise
 * that is alike from one reading to the next is not taken for many readings. Where the noise is below
 * the step of the reading, half a step is added: rounding then hides as much.
 *
 * Source: method of batch means (Conway, Management Science 10 (1963) 47–61).
 * @param windows index ranges of untouched rates
 * @param known the noise as earlier checks of this sensor showed it
 */
export function fitRateDrift(
  tS: Float64Array,
  rateRadPerS: Float64Array,
  windows: readonly { from: number; to: number }[],
  quantumRadPerS: number,
  known: RandomWalk | null = null,
): RateDrift {
  const rates = windows.flatMap(({ from, to }) => Array.from(rateRadPerS.slice(from, to)));
  const cleanS = windows.reduce(
    (sum, { from, to }) => sum + (tS[to - 1] ?? 0) - (tS[from] ?? 0),
    0,
  );
  const size = Math.floor(rates.length / BLOCKS);
  const blocks = Array.from({ length: BLOCKS }, (_, b) =>
    mean(rates.slice(b * size, (b + 1) * size)),
  );
  const driftRadPerS = mean(rates);
  const error = size > 0 ? sampleSd(blocks) / Math.sqrt(BLOCKS) : Infinity;
  const hidden = sampleSd(rates) < quantumRadPerS ? quantumRadPerS / 2 : 0;
  const ownWalk = { radPerSqrtS: error * Math.sqrt(cleanS), degreesOfFreedom: BLOCKS - 1 };
  const walk = withKnown(ownWalk, known);
  const walkError = walk.radPerSqrtS / Math.sqrt(cleanS);
  const half = student975(walk.degreesOfFreedom) * walkError + hidden;
  return {
    driftRadPerS,
    low95: driftRadPerS - half,
    high95: driftRadPerS + half,
    walk,
    ownWalk,
    hiddenRadPerS: hidden,
  };
}
