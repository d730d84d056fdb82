/** A point of a chart. */
export interface ChartPoint {
  x: number;
  y: number;
}

/**
 * A long curve with few points that looks the same: of each piece the first, lowest, highest and last
 * value, in their order, so that no extreme is lost.
 *
 * @param most about how many points may be left
 */
export function decimate(
  x: ArrayLike<number>,
  y: ArrayLike<number>,
  most: number,
  from = 0,
  to = x.length,
): ChartPoint[] {
  const n = to - from;
  const point = (i: number): ChartPoint => ({ x: x[i] ?? 0, y: y[i] ?? 0 });
  if (n <= most) return Array.from({ length: Math.max(0, n) }, (_, k) => point(from + k));
  const pieces = Math.max(1, Math.floor(most / 4));
  const points: ChartPoint[] = [];
  for (let piece = 0; piece < pieces; piece += 1) {
    const first = from + Math.floor((n * piece) / pieces);
    const last = from + Math.floor((n * (piece + 1)) / pieces) - 1;
    let low = first;
    let high = first;
    for (let i = first; i <= last; i += 1) {
      if ((y[i] ?? 0) < (y[low] ?? 0)) low = i;
      if ((y[i] ?? 0) > (y[high] ?? 0)) high = i;
    }
    const kept = [...new Set([first, low, high, last])].sort((a, b) => a - b);
    points.push(...kept.map(point));
  }
  return points;
}
