import type { RoundedFit } from '../stats/roundedFit';

/** An estimate with its 95 % interval. */
export interface Estimate {
  value: number;
  low95: number;
  high95: number;
}

/** Distances that differ by less than this factor tell no offset from a scale. */
const LEAST_RATIO = 1.5;

/** Whether distances differ enough to tell what grows with them from what does not. */
export const tellApart = (distances: readonly number[]): boolean => {
  const sizes = distances.map(Math.abs);
  return Math.max(...sizes) >= LEAST_RATIO * Math.min(...sizes) && new Set(sizes).size > 1;
};

/**
 * A coefficient of a fit with its interval; one that was not fitted is exactly 0.
 *
 * @param degreesOfFreedom those of the fit, or fewer where its weights were estimated from few
 */
export function estimateOf(
  fit: RoundedFit,
  index: number,
  degreesOfFreedom = fit.degreesOfFreedom,
): Estimate {
  const value = fit.coefficients[index];
  if (value === undefined) return { value: 0, low95: 0, high95: 0 };
  const columns = fit.coefficients.map((_, i) => (i === index ? 1 : 0));
  const half = fit.halfWidth95(columns, degreesOfFreedom);
  return { value, low95: value - half, high95: value + half };
}
