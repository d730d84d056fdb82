import type { Point } from '../geometry/pose';
import { quantileBeyond } from './root';
import type { Symmetric2 } from './covariance';

/**
 * A bivariate t distribution: centre, scale matrix (not the covariance) and degrees of freedom. With
 * Infinity for these it is the normal distribution, the scale its covariance.
 */
export interface BivariateT {
  centre: Point;
  scale: Symmetric2;
  degreesOfFreedom: number;
}

const DIRECTIONS = 240;

/** Cosine and sine of each direction, in the middle of its share of the circle. */
const COS_SIN = Array.from({ length: DIRECTIONS }, (_, i) => {
  const theta = ((i + 0.5) * 2 * Math.PI) / DIRECTIONS;
  return [Math.cos(theta), Math.sin(theta)] as const;
});

/**
 * Probability that a bivariate t variable lies within `radiusM` of `about`.
 *
 * In the coordinates that make the scale matrix round, half the squared distance from the centre
 * follows F(2, ν), whose distribution function is 1 − (1 + ρ²/ν)^(−ν/2). Along each direction the disc
 * cuts out one stretch of ρ; the probabilities of the stretches are averaged over the directions.
 * Source: Kotz and Nadarajah, Multivariate t Distributions and Their Applications, 2004, section 1.
 */
export function discProbability(
  { centre, scale, degreesOfFreedom }: BivariateT,
  about: Point,
  radiusM: number,
): number {
  const a = Math.sqrt(scale.xx);
  const b = a > 0 ? scale.xy / a : 0;
  const c = Math.sqrt(Math.max(0, scale.yy - b * b));
  const tail = (rho: number) =>
    degreesOfFreedom === Infinity
      ? Math.exp((-rho * rho) / 2)
      : (1 + (rho * rho) / degreesOfFreedom) ** (-degreesOfFreedom / 2);
  const dx = centre.xM - about.xM;
  const dy = centre.yM - about.yM;
  const gap = dx * dx + dy * dy - radiusM * radiusM;
  let sum = 0;
  for (const [cos, sin] of COS_SIN) {
    const ux = a * cos;
    const uy = b * cos + c * sin;
    const uu = ux * ux + uy * uy;
    const half = ux * dx + uy * dy;
    const discriminant = half * half - uu * gap;
    if (discriminant <= 0) {
      if (uu === 0 && gap < 0) sum += 1;
      continue;
    }
    const far = (-half + Math.sqrt(discriminant)) / uu;
    if (far <= 0) continue;
    const near = Math.max(0, (-half - Math.sqrt(discriminant)) / uu);
    sum += tail(near) - tail(far);
  }
  return sum / DIRECTIONS;
}

/**
 * The radius about a point that holds a given share of a bivariate t distribution.
 *
 * @param share between 0 and 1, both excluded
 * @returns the radius, to about 1e-9 of its own size; 0 for a distribution without extent at the point
 */
export function discRadius(distribution: BivariateT, about: Point, share: number): number {
  const { centre, scale } = distribution;
  const away = Math.hypot(centre.xM - about.xM, centre.yM - about.yM);
  const reach = away + Math.sqrt(scale.xx + scale.yy);
  if (reach === 0) return 0;
  const beyond = (radius: number) => 1 - discProbability(distribution, about, radius);
  return quantileBeyond(beyond, 1 - share, reach, 1e-9);
}
