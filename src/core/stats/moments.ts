/** Arithmetic mean; NaN for no values. */
export function mean(values: readonly number[]): number {
  let sum = 0;
  for (const value of values) sum += value;
  return sum / values.length;
}

/** Sample standard deviation (n − 1); NaN for fewer than two values. */
export function sampleSd(values: readonly number[]): number {
  if (values.length < 2) return Number.NaN;
  const centre = mean(values);
  let sum = 0;
  for (const value of values) sum += (value - centre) ** 2;
  return Math.sqrt(sum / (values.length - 1));
}
