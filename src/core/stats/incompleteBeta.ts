import { logGamma } from './logGamma';

/** By the continued fraction, which is quick where x is below about a/(a + b). */
function byFraction(x: number, a: number, b: number): number {
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

/**
 * Regularised incomplete beta function I_x(a, b), by its continued fraction.
 *
 * Source: DLMF 8.17.22, evaluated by Lentz's method; mirrored where the fraction is slow.
 */
export function incompleteBeta(x: number, a: number, b: number): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  return x > (a + 1) / (a + b + 2) ? 1 - byFraction(1 - x, b, a) : byFraction(x, a, b);
}
