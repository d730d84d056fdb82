/** Beyond so many standard deviations the share is nothing, or all, to the last digit of a double. */
const FARTHEST = 8.5;

/**
 * Share of a normal distribution below x.
 *
 * Source: Marsaglia, Evaluating the normal distribution, J. Stat. Softw. 11 (2004) no. 4: the series
 * Φ(z) = ½ + φ(z)·(z + z³/3 + z⁵/15 + …), summed until nothing is added any more. The screens that look at
 * trials by eye need no more of a package than this, and that one is large.
 */
export function normalCdf(x: number, mean: number, sd: number): number {
  const z = (x - mean) / sd;
  if (Number.isNaN(z)) return Number.NaN;
  if (z < -FARTHEST) return 0;
  if (z > FARTHEST) return 1;
  let term = z;
  let sum = z;
  for (let k = 3, before = Number.NaN; sum !== before; k += 2) {
    before = sum;
    term *= (z * z) / k;
    sum += term;
  }
  return 0.5 + (sum * Math.exp((-z * z) / 2)) / Math.sqrt(2 * Math.PI);
}
