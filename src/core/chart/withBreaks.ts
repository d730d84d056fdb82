import { decimate, type ChartPoint } from './decimate';

/**
 * A curve with gaps (NaN) in few points: where readings are missing a point without a value breaks the line.
 *
 * @param most about how many points may be left
 */
export function withBreaks(x: Float64Array, y: Float64Array, most: number): ChartPoint[] {
  const places = Array.from(y.keys()).filter((i) => !Number.isNaN(y[i]));
  const points = decimate(
    places.map((i) => x[i] ?? 0),
    places.map((i) => y[i] ?? 0),
    most,
  );
  const breaks = Array.from(y.keys()).filter(
    (i) => i > 0 && Number.isNaN(y[i]) && !Number.isNaN(y[i - 1]),
  );
  const all = [...points, ...breaks.map((i) => ({ x: x[i] ?? 0, y: Number.NaN }))];
  return all.sort((a, b) => a.x - b.x);
}
