/** Readings with more decimals than this are shown in no steps: they were computed. */
const MOST_DECIMALS = 4;
/** What the rounding of numbers leaves. */
const WHOLE = 1e-9;

const isWhole = (value: number): boolean =>
  Math.abs(value - Math.round(value)) <= WHOLE * Math.max(1, Math.abs(value));

/**
 * The step in which raw readings are shown, as their decimals tell: 1 for whole numbers, however few of them there are
 * (20, 20 and 60 prove no step of 20); 0 for readings that were computed.
 */
export function shownStep(readings: readonly number[]): number {
  for (let decimals = 0; decimals <= MOST_DECIMALS; decimals += 1) {
    if (readings.every((one) => isWhole(one * 10 ** decimals))) return 10 ** -decimals;
  }
  return 0;
}
