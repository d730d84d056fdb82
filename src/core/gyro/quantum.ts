/** Readings finer than this share of their range are as good as continuous. */
const FINEST_SHARE = 1e-5;
/** Conversion from degrees leaves rounding errors of some 1e-12 of the range: these are no steps. */
const NO_GAP_SHARE = 1e-9;

const DEGREE = Math.PI / 180;
/** Files give decimals of a degree, or of a radian. */
const DECIMALS = [1, 0.1, 0.01, 0.001, 1e-4, 1e-5];
const DECIMAL_STEPS = [...DECIMALS.map((step) => step * DEGREE), ...DECIMALS];
/** A value belongs to a decimal step when it is off by less than this share of it. */
const ON_STEP = 1e-3;

/** The smallest gap may be so many steps: a sensor can pass several between any two readings. */
const MOST_STEPS_IN_A_GAP = 24;
/** Gaps are whole multiples of a step when they are off by less than this share of it. */
const WHOLE = 0.02;
/** A printed decimal hides a step only where the step is at least so many of them. */
const LEAST_DECIMALS_IN_A_STEP = 3;
/** A sensor shows each of its steps in several readings, before it goes on to another. */
const READINGS_PER_STEP = 3;

const greatestCommonDivisor = (a: number, b: number): number =>
  b === 0 ? a : greatestCommonDivisor(b, a % b);

/** The coarsest decimal of a degree (or else of a radian) that all values are given in; null for none. */
function decimalOf(values: readonly number[]): number | null {
  const fits = (step: number) =>
    values.every((value) => Math.abs(value / step - Math.round(value / step)) < ON_STEP);
  return DECIMAL_STEPS.find(fits) ?? null;
}

/** Gaps between neighbours that are none by rounding. */
function gapsOf(sorted: readonly number[]): number[] {
  const range = (sorted.at(-1) ?? 0) - (sorted[0] ?? 0);
  return sorted
    .slice(1)
    .map((value, i) => value - (sorted[i] ?? value))
    .filter((gap) => gap > range * NO_GAP_SHARE);
}

const smallest = (values: readonly number[]): number =>
  values.reduce((least, value) => Math.min(least, value), Infinity);

/**
 * The largest step of which all gaps are whole multiples, each within a tolerance: the smallest gap, or
 * a whole part of it.
 *
 * @returns null where there is none down to `leastStep`
 */
function commonStep(
  gaps: readonly number[],
  tolerance: (step: number) => number,
  leastStep: number,
): number | null {
  const least = smallest(gaps);
  const range = gaps.reduce((sum, gap) => sum + gap, 0);
  for (let parts = 1; parts <= MOST_STEPS_IN_A_GAP; parts += 1) {
    const rough = least / parts;
    if (rough < leastStep) return null;
    // The mean over all steps takes out the rounding of the smallest.
    const steps = gaps.reduce((sum, gap) => sum + Math.round(gap / rough), 0);
    const step = range / steps;
    const allowed = tolerance(step);
    if (gaps.every((gap) => Math.abs(gap - Math.round(gap / step) * step) < allowed)) return step;
  }
  return null;
}

/** Steps that heading sensors have, in degrees, the coarsest first: a gap seen once is a jump, perhaps of several. */
const USUAL_STEPS = [1, 1 / 2, 1 / 4, 1 / 5, 1 / 8, 1 / 10, 1 / 16, 1 / 20, 1 / 50, 1 / 100];
/** A reading that flickers between two values changes more often than one that is knocked and comes back. */
const FEW_CHANGES = 2;

const isWhole = (ratio: number): boolean =>
  ratio > 0.5 && Math.abs(ratio - Math.round(ratio)) < WHOLE;

/** The coarsest usual step of which a jump is a whole number; the jump itself where there is none. */
const usualStepIn = (jump: number): number => {
  const parts = USUAL_STEPS.map((step) => jump / (step * DEGREE)).find(isWhole);
  return parts === undefined ? jump : jump / Math.round(parts);
};

const changesIn = (values: readonly number[], leastGap: number): number =>
  values.filter((value, i) => i > 0 && Math.abs(value - (values[i - 1] ?? value)) > leastGap / 2)
    .length;

/** How many readings there are for each time that the reading changes. */
function readingsPerChange(values: readonly number[], leastGap: number): number {
  return values.length / Math.max(1, changesIn(values, leastGap));
}

/**
 * The step in which angles or rates are given: the common divisor of the gaps between different
 * readings, which need not be the smallest gap. 0 for readings without a step.
 *
 * Decimals are counted as whole numbers, so that no rounding adds up. Where a file gives a coarser step
 * in decimals that do not fit it (sixteenths of a degree as 0.06, 0.13, 0.19), the step counts and not
 * the decimal, if the sensor is seen to rest on its steps; a steady creep, read once at each value,
 * proves none. Of a reading that never changes only the number itself tells: the coarsest decimal of a
 * degree that it fits, at most 1°; where it fits none, 1° all the same, for a sensor without a step
 * would flicker. Of one jump between two readings nothing but the usual steps of sensors tells.
 *
 * @param values readings in order of time, in radians, or radians per second; the step is in the same
 * @param known the step that earlier logs of the same sensor showed: it counts where this one cannot tell
 */
export function quantumOf(values: ArrayLike<number>, known: number | null = null): number {
  const read = Array.from(values);
  const sorted = [...new Set(read)].sort((a, b) => a - b);
  const range = (sorted.at(-1) ?? 0) - (sorted[0] ?? 0);
  const decimal = decimalOf(sorted);
  if (range <= 1e-12) return known ?? Math.min(DEGREE, decimal ?? DEGREE);
  const gaps = gapsOf(sorted);
  if (gaps.length === 1 && changesIn(read, range) <= FEW_CHANGES) {
    return known !== null && isWhole(range / known) ? known : usualStepIn(range);
  }
  const finest = range * FINEST_SHARE;
  if (decimal === null) return commonStep(gaps, (step) => WHOLE * step, finest) ?? 0;
  const wholes = gaps.map((gap) => Math.round(gap / decimal)).filter((gap) => gap > 0);
  const step = decimal * wholes.reduce(greatestCommonDivisor, 0);
  // Values that are off by half a decimal each make a gap that is off by one.
  const hidden = commonStep(gaps, () => 1.01 * decimal, LEAST_DECIMALS_IN_A_STEP * decimal);
  const rests = readingsPerChange(read, smallest(gaps)) >= READINGS_PER_STEP;
  if (hidden !== null && hidden > step && gaps.length > 3 && rests) return hidden;
  return step < finest ? 0 : step;
}
