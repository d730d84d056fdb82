/**
 * The middle of the values in order; of an even number the mean of the middle two; NaN of none.
 *
 * Source: any textbook; Hyndman and Fan, The American Statistician 50 (1996) 361–365, definition 7.
 */
export function median(values: ArrayLike<number>): number {
  const sorted = Float64Array.from(values).sort();
  const middle = sorted.length >> 1;
  const upper = sorted[middle] ?? Number.NaN;
  return sorted.length % 2 === 1 ? upper : ((sorted[middle - 1] ?? Number.NaN) + upper) / 2;
}
