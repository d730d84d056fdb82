import { incompleteBeta } from './incompleteBeta';
import { quantileBeyond } from './root';

/** Chance that an F-distributed value is larger (Abramowitz and Stegun 26.6.2). */
export const fUpperTail = (f: number, d1: number, d2: number): number =>
  f <= 0 ? 1 : incompleteBeta(d2 / (d2 + d1 * f), d2 / 2, d1 / 2);

/** The p-quantile of Fisher's F distribution with d1 and d2 degrees of freedom; NaN without any. */
export const fQuantile = (p: number, d1: number, d2: number): number =>
  d1 > 0 && d2 > 0 ? quantileBeyond((f) => fUpperTail(f, d1, d2), 1 - p, 4) : Number.NaN;
