import { normalCdf } from '../stats/normalCdf';
import { degreesFromRadians, radiansFromDegrees } from '../geometry/angle';
import { counted, number } from '../text/quantities';

/** How a turn looked: not far enough, right, or too far. */
export type Seen = 'under' | 'right' | 'over';

export interface EyeEstimate {
  /** Mean error; positive is turning too far. */
  meanRad: number;
  low95Rad: number;
  high95Rad: number;
  sentence: string;
}

/** What looks right to the eye: within so much. */
export const EYE_STEP_RAD = radiansFromDegrees(3);

const MEANS = Array.from({ length: 161 }, (_, i) => radiansFromDegrees((i - 80) / 4));
const SPREADS = Array.from({ length: 20 }, (_, i) => radiansFromDegrees(0.5 * (i + 1)));

function likelihood(mean: number, sd: number, seen: readonly Seen[]): number {
  const under = normalCdf(-EYE_STEP_RAD, mean, sd);
  const over = 1 - normalCdf(EYE_STEP_RAD, mean, sd);
  const chance = { under, over, right: Math.max(0, 1 - under - over) };
  return seen.reduce((product, one) => product * Math.max(chance[one], 1e-12), 1);
}

/**
 * How far turns go too far on average, when they were only looked at: an ordinal probit with known
 * steps, every mean within ±20° and every spread up to 10° held equally likely beforehand.
 *
 * Source: Agresti, Analysis of Ordinal Categorical Data, 2nd ed., 2010, chapter 5; summed on a grid.
 */
export function estimateByEye(seen: readonly Seen[]): EyeEstimate | null {
  if (seen.length === 0) return null;
  const weights = MEANS.map((mean) =>
    SPREADS.reduce((sum, sd) => sum + likelihood(mean, sd, seen), 0),
  );
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const quantile = (share: number) => {
    let sum = 0;
    for (const [i, weight] of weights.entries()) {
      sum += weight / total;
      if (sum >= share) return MEANS[i] ?? 0;
    }
    return MEANS.at(-1) ?? 0;
  };
  const meanRad = MEANS.reduce((sum, mean, i) => sum + (mean * (weights[i] ?? 0)) / total, 0);
  const low95Rad = quantile(0.025);
  const high95Rad = quantile(0.975);
  const whole = (angle: number) => `${number(degreesFromRadians(angle))}°`;
  const told =
    low95Rad > 0
      ? 'they go too far'
      : high95Rad < 0
        ? 'they do not go far enough'
        : 'nothing is proved';
  return {
    meanRad,
    low95Rad,
    high95Rad,
    sentence: `By eye ${counted(seen.length, 'turn')} tell little: on average somewhere from ${whole(low95Rad)} to ${whole(high95Rad)} too far; ${told}. A protractor tells more with three turns.`,
  };
}
