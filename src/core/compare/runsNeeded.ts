import { powerOfRates, powerOfRatio, powerOfShift } from './power';

/** A difference that is worth having. */
export type DifferenceSought =
  { sdM: number; differenceM: number } | { ratio: number } | { rateA: number; rateB: number };

/** More than this nobody makes for one question. */
export const MOST_PER_SERIES = 500;
const LEAST_PER_SERIES = 3;

function powerOf(difference: DifferenceSought, n: number, alpha: number): number {
  if ('rateA' in difference) return powerOfRates(n, difference.rateA, difference.rateB, alpha);
  if ('ratio' in difference) return powerOfRatio(n, difference.ratio, alpha);
  return powerOfShift(n, difference.differenceM / difference.sdM, alpha);
}

/**
 * How many runs each of two series needs to show a difference, by the tests of `compareSeries`, which asks three
 * questions at once.
 *
 * @param power chance of showing it, if it is there
 * @param alpha chance of showing one that is not, over all three questions
 * @returns null where more than 500 would be needed
 */
export function runsNeeded(difference: DifferenceSought, power = 0.8, alpha = 0.05): number | null {
  let low = LEAST_PER_SERIES;
  let high = low;
  while (powerOf(difference, high, alpha) < power) {
    if (high >= MOST_PER_SERIES) return null;
    low = high;
    high = Math.min(MOST_PER_SERIES, Math.ceil(high * 1.5));
  }
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (powerOf(difference, middle, alpha) >= power) high = middle;
    else low = middle;
  }
  return high;
}
