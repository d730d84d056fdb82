import type { LineSquaringCalibration } from '../../../calibrationValues/lineSquaring';
import type { LineSquaringWay } from '../../../light/lineSquaring';

/** Fewer trials do not tell how single ones scatter. */
const FEWEST = 3;
/** As a normal interval of 95 % has it. */
const Z95 = 1.96;

/** The best way of squaring on a line, to be computed with; null where too few trials tell how it scatters. */
export function calibrationFromLineSquaring({
  speedMPerS,
  secondMPerS,
  n,
  biasRad,
  low95,
  high95,
  scatter,
}: LineSquaringWay): LineSquaringCalibration | null {
  if (n < FEWEST || !Number.isFinite(scatter.sd) || !Number.isFinite(high95)) return null;
  return {
    kind: 'line-squaring',
    speedMPerS,
    secondMPerS,
    biasRad,
    biasSeRad: (high95 - low95) / (2 * Z95),
    headingSdRad: scatter.sd,
    n,
  };
}
