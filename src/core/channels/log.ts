import { median } from '../stats/median';

/** Readings of a heading sensor against time; headings unwrapped, counter-clockwise positive. */
export interface HeadingLog {
  tS: Float64Array;
  headingRad: Float64Array;
}

/** The channels of a log by their keys (`channels/kinds.ts`), in the core's units; NaN where one has a gap. */
export interface LogColumns {
  headingRad?: Float64Array | undefined;
  rateRadPerS?: Float64Array | undefined;
  leftMotorDegrees?: Float64Array | undefined;
  rightMotorDegrees?: Float64Array | undefined;
  [key: string]: Float64Array | undefined;
}

/** Readings of several channels against time. */
export interface ChannelLog {
  tS: Float64Array;
  columns: LogColumns;
}

/** The channels that a log has, with their keys. */
export const channelsIn = (columns: LogColumns): [string, Float64Array][] =>
  Object.entries(columns).flatMap(([key, values]) => (values === undefined ? [] : [[key, values]]));

/** The moments of a log at which all of some channels were read; the log itself where that is always. */
export function whereRead(log: ChannelLog, keys: readonly string[]): ChannelLog {
  const asked = keys.flatMap((key) => log.columns[key] ?? []);
  const isRead = (i: number) => !asked.some((values) => Number.isNaN(values[i]));
  const places = Array.from(log.tS.keys()).filter(isRead);
  if (places.length === log.tS.length) return log;
  const kept = (values: Float64Array) => Float64Array.from(places, (i) => values[i] ?? Number.NaN);
  const columns = channelsIn(log.columns).map(([key, values]) => [key, kept(values)] as const);
  return { tS: kept(log.tS), columns: Object.fromEntries(columns) };
}

/** A stretch of a log, in seconds of its own clock. */
export interface Span {
  fromS: number;
  toS: number;
}

/** A stretch of a log as indices [from, to). */
export interface Window {
  from: number;
  to: number;
}

/** Index of the first of sorted times that is at or after a moment. */
export function firstAtOrAfter(tS: Float64Array, momentS: number): number {
  let low = 0;
  let high = tS.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((tS[middle] ?? Infinity) < momentS) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** A heading log from rates: the integral, by trapezoids. */
export function integrateRate(tS: Float64Array, rateRadPerS: Float64Array): HeadingLog {
  const headingRad = new Float64Array(tS.length);
  for (let i = 1; i < tS.length; i += 1) {
    const dt = (tS[i] ?? 0) - (tS[i - 1] ?? 0);
    const rate = ((rateRadPerS[i] ?? 0) + (rateRadPerS[i - 1] ?? 0)) / 2;
    headingRad[i] = (headingRad[i - 1] ?? 0) + rate * dt;
  }
  return { tS, headingRad };
}

/**
 * The stretches that are left without the touched ones, cut where the log pauses as well.
 *
 * @param leastS shorter stretches tell nothing and are left out
 * @returns index ranges [from, to) into the log
 */
export function cleanWindows(tS: Float64Array, touched: readonly Span[], leastS: number): Window[] {
  const period = medianPeriod(tS);
  const longest = Math.max(1, 20 * period);
  const windows: Window[] = [];
  let from = 0;
  const close = (to: number) => {
    if (to - from > 1 && (tS[to - 1] ?? 0) - (tS[from] ?? 0) >= leastS) windows.push({ from, to });
  };
  let span = 0;
  for (let i = 0; i < tS.length; i += 1) {
    const t = tS[i] ?? 0;
    while (span < touched.length && (touched[span]?.toS ?? 0) < t) span += 1;
    const inTouch = (touched[span]?.fromS ?? Infinity) <= t;
    const afterPause = i > from && t - (tS[i - 1] ?? t) > longest;
    if (inTouch || afterPause) {
      close(i);
      from = inTouch ? i + 1 : i;
    }
  }
  close(tS.length);
  return windows;
}

/** The usual time between two readings. */
export function medianPeriod(tS: Float64Array): number {
  const steps = tS
    .slice(1)
    .map((t, i) => t - (tS[i] ?? t))
    .filter((step) => step > 0);
  return steps.length === 0 ? 0 : median(steps);
}

/** The heading at equal times in one window, straight between its readings. */
export function evenHeading(
  { tS, headingRad }: HeadingLog,
  { from, to }: Window,
  periodS: number,
): Float64Array {
  const start = tS[from] ?? 0;
  const n = Math.floor(((tS[to - 1] ?? start) - start) / periodS + 1e-9) + 1;
  const heading = new Float64Array(n);
  let j = from;
  for (let i = 0; i < n; i += 1) {
    const t = start + i * periodS;
    while (j < to - 2 && (tS[j + 1] ?? Infinity) < t) j += 1;
    const [t0, t1] = [tS[j] ?? 0, tS[j + 1] ?? 0];
    const share = t1 > t0 ? Math.min(1, (t - t0) / (t1 - t0)) : 0;
    heading[i] = (headingRad[j] ?? 0) + share * ((headingRad[j + 1] ?? 0) - (headingRad[j] ?? 0));
  }
  return heading;
}
