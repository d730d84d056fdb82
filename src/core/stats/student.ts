import { incompleteBeta } from './incompleteBeta';
import { quantileBeyond } from './root';

/**
 * Student's quantile above which half of `tails` lies.
 *
 * Source: Abramowitz and Stegun 26.7.1: beyond t in both tails together lies I_x(ν/2, ½) with x = ν/(ν + t²).
 * @param tails share in both tails together, above 0
 */
export function studentQuantile(tails: number, degreesOfFreedom: number): number {
  const beyond = (t: number) =>
    incompleteBeta(degreesOfFreedom / (degreesOfFreedom + t * t), degreesOfFreedom / 2, 0.5);
  return quantileBeyond(beyond, tails, 4);
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
