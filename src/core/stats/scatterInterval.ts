import { fQuantile } from './fDistribution';
import { sampleSd } from './moments';
import { ROUNDING_SD, shareHiddenByRounding, withoutRounding } from './roundedFit';
import { studentQuantile } from './student';

/** A scatter that some readings show, with its 95 % interval. */
export interface Scatter {
  sd: number;
  low95: number;
  high95: number;
}

/** Degrees of freedom of a variance that is as good as known, and of a Student that is as good as normal. */
const KNOWN = 1e6;
const TAIL = 0.025;
/** What is computed from two readings may change by more than the step that stands for both. */
const ABOUT_ONE = 1.5;

/** The scatter with which n readings still fall within one step, where that lies best, in one of forty cases. */
const mostWithinOneStep = (n: number, step: number): number =>
  step / (2 * studentQuantile(1 - TAIL ** (1 / n), KNOWN));

/**
 * The scatter of readings: by χ² for normal readings; what rounding adds to it is taken out of it, and readings that
 * agree, or are neighbours, may scatter not at all, and as much as n of them within one step do.
 *
 * Source: Montgomery, Introduction to Statistical Quality Control (6th ed., 2009), section 4.3.3, for the interval;
 * Sheppard's correction for the rounding.
 * @param step in which they were read; 0 for none
 * @returns NaN, and a range without an end, for fewer than two readings
 */
export function scatterInterval(values: readonly number[], step: number): Scatter {
  const seen = sampleSd(values);
  if (Number.isNaN(seen)) return { sd: Number.NaN, low95: 0, high95: Infinity };
  const free = values.length - 1;
  const isHidden = shareHiddenByRounding(seen, step) > 0;
  // Two neighbouring readings tell of a value that lies between them, however little it scatters.
  const areNeighbours = Math.max(...values) - Math.min(...values) <= step * ABOUT_ONE;
  const least = Math.sqrt(Math.max(0, seen ** 2 - (ROUNDING_SD * step) ** 2));
  return {
    sd: withoutRounding(seen, step),
    low95: isHidden || areNeighbours ? 0 : least / Math.sqrt(fQuantile(1 - TAIL, free, KNOWN)),
    high95: Math.max(
      seen / Math.sqrt(fQuantile(TAIL, free, KNOWN)),
      isHidden ? mostWithinOneStep(values.length, step) : 0,
    ),
  };
}
