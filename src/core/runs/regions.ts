import { fQuantile } from '../stats/fDistribution';
import { principalAxes, type Symmetric2 } from '../stats/covariance';

export interface Ellipse {
  semiMajorM: number;
  semiMinorM: number;
  /** Angle of the major axis from +x, in (−π/2, π/2]. */
  angleRad: number;
}

function ellipse(covariance: Symmetric2, mahalanobisSquared: number): Ellipse {
  const { major, minor, angleRad } = principalAxes(covariance);
  return {
    semiMajorM: Math.sqrt(major * mahalanobisSquared),
    semiMinorM: Math.sqrt(minor * mahalanobisSquared),
    angleRad,
  };
}

/**
 * The ellipse about the mean that holds the next single run with 95 % probability:
 * Mahalanobis² ≤ 2(n² − 1)/(n(n − 2))·F₀.₉₅(2, n − 2).
 *
 * Source: Chew, J. Am. Stat. Assoc. 61 (1966) 605–617 (prediction region of the bivariate normal).
 * @returns null for n < 3
 */
export function singleRunRegion(covariance: Symmetric2, n: number): Ellipse | null {
  if (n < 3) return null;
  return ellipse(covariance, ((2 * (n * n - 1)) / (n * (n - 2))) * fQuantile(0.95, 2, n - 2));
}

/**
 * The ellipse that holds the true mean with 95 % confidence:
 * Mahalanobis² ≤ 2(n − 1)/(n(n − 2))·F₀.₉₅(2, n − 2).
 *
 * Source: Hotelling, Ann. Math. Statist. 2 (1931) 360–378.
 * @returns null for n < 3
 */
export function meanRegion(covariance: Symmetric2, n: number): Ellipse | null {
  if (n < 3) return null;
  return ellipse(covariance, ((2 * (n - 1)) / (n * (n - 2))) * fQuantile(0.95, 2, n - 2));
}
