import betaCdf from '@stdlib/stats-base-dists-beta-cdf';

/**
 * Distribution function of the noncentral F: a Poisson mixture of beta functions.
 *
 * Source: Johnson, Kotz and Balakrishnan, Continuous Univariate Distributions 2 (2nd ed., 1995), chapter 30.
 */
export function noncentralFCdf(f: number, d1: number, d2: number, noncentrality: number): number {
  const x = (d1 * f) / (d1 * f + d2);
  const half = noncentrality / 2;
  let sum = 0;
  let weight = Math.exp(-half);
  for (let j = 0; j < half + 12 * Math.sqrt(half + 1) + 20; j += 1) {
    sum += weight * betaCdf(x, d1 / 2 + j, d2 / 2);
    weight *= half / (j + 1);
  }
  return sum;
}
