import { logGamma } from './logGamma';

const LEAST = 1e-300;
const PRECISION = 1e-15;

/** γ*(a, x)·Γ(a+1) as 1 + x/(a+1) + x²/((a+1)(a+2)) + … */
function series(a: number, x: number): number {
  let term = 1;
  let sum = 1;
  for (let n = 1; term > PRECISION * sum; n += 1) {
    term *= x / (a + n);
    sum += term;
  }
  return sum;
}

/** The continued fraction of Γ(a, x), by Lentz's method. */
function fraction(a: number, x: number): number {
  let b = x + 1 - a;
  let c = 1 / LEAST;
  let d = 1 / b;
  let value = d;
  for (let n = 1, change = 0; Math.abs(change - 1) > PRECISION && n < 10_000; n += 1) {
    const term = -n * (n - a);
    b += 2;
    d = 1 / (term * d + b || LEAST);
    c = b + term / c || LEAST;
    change = c * d;
    value *= change;
  }
  return value;
}

/**
 * Regularised upper incomplete gamma function Q(a, x): the share of a gamma distribution of shape a beyond x.
 *
 * Source: DLMF 8.7.1 (series) below the mean, 8.9.2 (continued fraction) above it.
 */
export function incompleteGammaBeyond(a: number, x: number): number {
  if (x <= 0) return 1;
  const scale = Math.exp(a * Math.log(x) - x - logGamma(a));
  return x < a + 1 ? 1 - (scale * series(a, x)) / a : scale * fraction(a, x);
}
