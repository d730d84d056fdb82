import type { Point } from '../geometry/pose';
import { mahalanobisSquared, type Symmetric2 } from '../stats/covariance';
import { fQuantile, fUpperTail } from '../stats/fDistribution';
import { noncentralFCdf } from '../stats/noncentralF';

export interface BiasTest {
  /** Probability of a bias at least this large by chance alone. */
  pValue: number;
  /** Whether the bias differs from zero at the 5 % level. */
  real: boolean;
  /** Squared bias in units of the scatter (Mahalanobis). */
  distance2: number;
}

/**
 * Whether the mean offset differs from zero: Hotelling's one-sample T², two dimensions.
 *
 * F = n(n − 2)/(2(n − 1))·d², with 2 and n − 2 degrees of freedom.
 * Source: Hotelling, Ann. Math. Statist. 2 (1931) 360–378.
 * @returns null for n < 3 or scatter without extent in some direction
 */
export function testBias(bias: Point, covariance: Symmetric2, n: number): BiasTest | null {
  if (n < 3) return null;
  const distance2 = mahalanobisSquared(covariance, bias);
  if (!Number.isFinite(distance2)) return null;
  const pValue = fUpperTail(((n * (n - 2)) / (2 * (n - 1))) * distance2, 2, n - 2);
  return { pValue, real: pValue < 0.05, distance2 };
}

/** More runs than a team would make for one question. */
export const MOST_RUNS = 200;

/**
 * How many runs in all would prove, with 80 % chance, a true bias of the size seen.
 *
 * @param distance2 squared bias in units of the scatter (Mahalanobis)
 * @param n runs so far
 * @returns null where more than 200 would be needed
 */
export function runsToProveBias(distance2: number, n: number): number | null {
  const power = (runs: number) =>
    1 - noncentralFCdf(fQuantile(0.95, 2, runs - 2), 2, runs - 2, runs * distance2);
  if (power(MOST_RUNS) < 0.8) return null;
  let low = Math.max(3, n);
  let high = MOST_RUNS;
  while (low < high) {
    const middle = Math.floor((low + high) / 2);
    if (power(middle) >= 0.8) high = middle;
    else low = middle + 1;
  }
  return low;
}
