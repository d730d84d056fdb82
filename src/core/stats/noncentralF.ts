import { incompleteBeta } from './incompleteBeta';

/** Beyond this the weights of the mixture underflow, and it would take ever more of them. */
const MOST_BY_MIXTURE = 1000;

/** Patnaik's approximation: a central F of the same mean and variance of its numerator. */
function byPatnaik(f: number, d1: number, d2: number, noncentrality: number): number {
  const numerator = (d1 + noncentrality) ** 2 / (d1 + 2 * noncentrality);
  const scaled = (f * d1) / (d1 + noncentrality);
  return incompleteBeta((numerator * scaled) / (numerator * scaled + d2), numerator / 2, d2 / 2);
}

/**
 * Distribution function of the noncentral F: a Poisson mixture of beta functions; for large noncentralities by
 * Patnaik's approximation, and 0 where its numbers end.
 *
 * Source: Johnson, Kotz and Balakrishnan, Continuous Univariate Distributions 2 (2nd ed., 1995), chapter 30; Patnaik,
 * Biometrika 36 (1949) 202–232.
 */
export function noncentralFCdf(f: number, d1: number, d2: number, noncentrality: number): number {
  if (noncentrality > 1e12) return 0;
  if (noncentrality > MOST_BY_MIXTURE) return byPatnaik(f, d1, d2, noncentrality);
  const x = (d1 * f) / (d1 * f + d2);
  const half = noncentrality / 2;
  let sum = 0;
  let weight = Math.exp(-half);
  for (let j = 0; j < half + 12 * Math.sqrt(half + 1) + 20; j += 1) {
    sum += weight * incompleteBeta(x, d1 / 2 + j, d2 / 2);
    weight *= half / (j + 1);
  }
  return sum;
}
