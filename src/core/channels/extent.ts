/** What a channel reads over a stretch: from the lowest to the highest, and how often nothing. */
export interface Extent {
  low: number;
  high: number;
  missing: number;
}

/** @returns null where nothing was read at all */
export function extentOf(values: Float64Array): Extent | null {
  let low = Infinity;
  let high = -Infinity;
  let missing = 0;
  for (const value of values) {
    if (Number.isNaN(value)) missing += 1;
    if (value < low) low = value;
    if (value > high) high = value;
  }
  return low > high ? null : { low, high, missing };
}
