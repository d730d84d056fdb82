/** Coefficients of Lanczos' approximation with g = 7, n = 9. */
const LANCZOS = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313,
  -176.61502916214059, 12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6,
  1.5056327351493116e-7,
];

/** Logarithm of the gamma function of a positive number (Lanczos, SIAM J. Numer. Anal. B 1 (1964) 86). */
function logGamma(x: number): number {
  const z = x - 1;
  const sum = LANCZOS.reduce((total, c, i) => total + (i === 0 ? c : c / (z + i)), 0);
  const t = z + 7.5;
  return 0.5 * Math.log(2 * Math.PI) + (z + 0.5) * Math.log(t) - t + Math.log(sum);
}

/**
 * Regularised incomplete beta function I_x(a, b), by its continued fraction.
 *
 * Source: DLMF 8.17.22, evaluated by Lentz's method; mirrored where the fraction is slow. Pages that
 * compute with trials need no more of the distributions than this, and the packages are large.
 */
export function incompleteBeta(x: number, a: number, b: number): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  if (x > (a + 1) / (a + b + 2)) return 1 - incompleteBeta(1 - x, b, a);
  const front =
    Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log(1 - x)) /
    a;
  const least = 1e-300;
  let c = 1;
  let d = 1 / Math.max(least, 1 - ((a + b) * x) / (a + 1));
  let fraction = d;
  for (let m = 1; m <= 300; m += 1) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    let change = 1;
    for (const term of [even, odd]) {
      d = 1 / (1 + term * d || least);
      c = 1 + term / c || least;
      change = c * d;
      fraction *= change;
    }
    if (Math.abs(change - 1) < 1e-14) break;
  }
  return front * fraction;
}

/** Chance that an F-distributed value is larger (Abramowitz and Stegun 26.6.2). */
export const fUpperTail = (f: number, d1: number, d2: number): number =>
  f <= 0 ? 1 : incompleteBeta(d2 / (d2 + d1 * f), d2 / 2, d1 / 2);

/**
 * Student's quantile above which half of `tails` lies, by halving.
 *
 * @param tails share in both tails together, above 0
 */
export function studentQuantile(tails: number, degreesOfFreedom: number): number {
  // Beyond t in both tails together: I_x(ν/2, ½) with x = ν/(ν + t²).
  const beyond = (t: number) =>
    incompleteBeta(degreesOfFreedom / (degreesOfFreedom + t * t), degreesOfFreedom / 2, 0.5);
  let low = 0;
  let high = 12.8;
  // One degree of freedom reaches far: 25.5 with 2.5 % in both tails.
  while (beyond(high) > tails) high *= 2;
  for (let i = 0; i < 60; i += 1) {
    const middle = (low + high) / 2;
    if (beyond(middle) > tails) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/**
 * Student's quantile at 97.5 %, for two-sided 95 % intervals.
 *
 * @param degreesOfFreedom, at least 1
 */
export const student975 = (degreesOfFreedom: number): number =>
  studentQuantile(0.05, degreesOfFreedom);

/** Student's quantile at 95 %, for two-sided 90 % intervals. */
export const student95 = (degreesOfFreedom: number): number =>
  studentQuantile(0.1, degreesOfFreedom);
