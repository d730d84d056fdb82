/** Readings finer than this share of their range are as good as continuous. */
const FINEST_SHARE = 1e-5;

/**
 * The step in which angles or rates are given: the smallest difference between two of them, when all
 * differences are whole multiples of it; 0 for readings without a step. Of a reading that never
 * changes only the number itself tells: the coarsest decimal step of a degree that it fits, at most 1°;
 * where it fits none, 1° all the same, for a sensor without a step would flicker.
 *
 * @param values readings in radians, or radians per second; the step is in the same
 */
export function quantumOf(values: ArrayLike<number>): number {
  const distinct = [...new Set(Array.from(values))].sort((a, b) => a - b);
  const range = (distinct.at(-1) ?? 0) - (distinct[0] ?? 0);
  if (range === 0) return decimalStep(distinct[0] ?? 0);
  const gaps = distinct.slice(1).map((value, i) => value - (distinct[i] ?? value));
  // Conversion from degrees leaves rounding errors of some 1e-12: these are no steps.
  const real = gaps.filter((gap) => gap > range * 1e-9);
  const step = Math.min(...chunkMinima(real));
  if (step < range * FINEST_SHARE) return 0;
  const whole = real.every((gap) => Math.abs(gap / step - Math.round(gap / step)) < 0.02);
  if (!whole) return 0;
  // The mean over all steps takes out the rounding of the smallest.
  return range / Math.round(range / step);
}

/** Minima of parts, for Math.min takes only so many arguments. */
function chunkMinima(values: readonly number[]): number[] {
  const minima: number[] = [];
  for (let i = 0; i < values.length; i += 1000) {
    minima.push(Math.min(...values.slice(i, i + 1000)));
  }
  return minima;
}

const DEGREE = Math.PI / 180;

function decimalStep(value: number): number {
  for (const step of [1, 0.1, 0.01, 0.001]) {
    const steps = value / DEGREE / step;
    if (Math.abs(steps - Math.round(steps)) < 1e-6) return step * DEGREE;
  }
  return DEGREE;
}
