import { normalCdf } from '../stats/normalCdf';

/** How readings of one class spread: normal. */
export interface Spread {
  mean: number;
  sd: number;
}

/** Two classes, that whose readings are lower first. */
export interface TwoSpreads {
  low: Spread;
  high: Spread;
}

/**
 * The threshold at which the fewest readings are taken for the other class, where both come equally often: there the
 * two densities are equal. Where one class spreads far wider it may lie beyond the mean of the other.
 *
 * Source: Fukunaga, Introduction to Statistical Pattern Recognition (2nd ed., 1990), section 3.1: the quadratic that
 * equal densities of two normals make; written so that equal spreads divide by nothing.
 */
export function leastErrorThreshold({ low, high }: TwoSpreads): number {
  const apart = high.mean - low.mean;
  const logRatio = Math.log(high.sd / low.sd);
  const root = Math.sqrt(apart ** 2 + 2 * (high.sd ** 2 - low.sd ** 2) * logRatio);
  return (
    low.mean +
    (low.sd * (apart ** 2 + 2 * high.sd ** 2 * logRatio)) / (high.sd * root + low.sd * apart)
  );
}

/** The threshold at which both classes are taken for the other equally often: as many deviations from either mean. */
export const equalErrorThreshold = ({ low, high }: TwoSpreads): number =>
  (low.mean * high.sd + high.mean * low.sd) / (low.sd + high.sd);

/** Shares of readings that fall on the other side of a threshold. */
export interface ErrorShares {
  /** Of the class whose readings are lower. */
  low: number;
  high: number;
}

export const errorShares = ({ low, high }: TwoSpreads, threshold: number): ErrorShares => ({
  low: normalCdf(-threshold, -low.mean, low.sd),
  high: normalCdf(threshold, high.mean, high.sd),
});

/**
 * How many deviations two classes are apart: d′ of signal detection, by the root mean square of both spreads.
 *
 * Source: Simpson and Fitter, Psychol. Bull. 80 (1973) 481–488 (d_a).
 */
export const separability = ({ low, high }: TwoSpreads): number =>
  (high.mean - low.mean) / Math.sqrt((low.sd ** 2 + high.sd ** 2) / 2);
