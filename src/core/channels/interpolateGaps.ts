/**
 * Values with their gaps (NaN) filled: straight between the readings on either side, and as the nearest one
 * before the first and after the last. For what cannot jump, as a wheel's angle.
 *
 * @param tS times in order
 */
export function interpolateGaps(tS: Float64Array, values: Float64Array): Float64Array {
  const filled = Float64Array.from(values);
  let before = -1;
  for (let i = 0; i <= values.length; i += 1) {
    const isEnd = i === values.length;
    if (!isEnd && Number.isNaN(values[i])) continue;
    for (let j = before + 1; j < i; j += 1)
      filled[j] = between(tS, values, before, isEnd ? -1 : i, j);
    before = i;
  }
  return filled;
}

function between(tS: Float64Array, values: Float64Array, from: number, to: number, at: number) {
  if (from < 0) return values[to] ?? Number.NaN;
  if (to < 0) return values[from] ?? Number.NaN;
  const [t0, t1, t] = [tS[from] ?? 0, tS[to] ?? 0, tS[at] ?? 0];
  const [a, b] = [values[from] ?? 0, values[to] ?? 0];
  return t1 > t0 ? a + ((b - a) * (t - t0)) / (t1 - t0) : b;
}
