import tCdf from '@stdlib/stats-base-dists-t-cdf';
import type { HeadingLog } from './log';

/** Whether the drift itself changes during a log, as it does while a sensor warms up. */
export interface WarmUp {
  startRadPerS: number;
  endRadPerS: number;
  pValue: number;
  /** Proved at 1 %, and more than the reading's step can feign. */
  changing: boolean;
}

const BLOCKS = 8;

/**
 * The drift of each of eight equal blocks (end minus start: independent for a random walk), and
 * Student's test of their trend in time.
 *
 * @returns null for a log of which fewer than eight blocks are untouched enough
 */
export function findWarmUp(
  { tS, headingRad }: HeadingLog,
  windows: readonly { from: number; to: number }[],
  quantumRad: number,
): WarmUp | null {
  const pieces = windows.flatMap(({ from, to }) => {
    const length = (tS[to - 1] ?? 0) - (tS[from] ?? 0);
    const total = (tS.at(-1) ?? 0) - (tS[0] ?? 0);
    const parts = Math.round((BLOCKS * length) / total);
    return Array.from({ length: parts }, (_, k) => {
      const first = from + Math.floor(((to - 1 - from) * k) / parts);
      const last = from + Math.floor(((to - 1 - from) * (k + 1)) / parts);
      const t0 = tS[first] ?? 0;
      const t1 = tS[last] ?? 0;
      return {
        t: (t0 + t1) / 2,
        lengthS: t1 - t0,
        rate: ((headingRad[last] ?? 0) - (headingRad[first] ?? 0)) / (t1 - t0),
      };
    });
  });
  const n = pieces.length;
  if (n < BLOCKS - 2) return null;
  const meanT = pieces.reduce((sum, { t }) => sum + t, 0) / n;
  const meanRate = pieces.reduce((sum, { rate }) => sum + rate, 0) / n;
  const sxx = pieces.reduce((sum, { t }) => sum + (t - meanT) ** 2, 0);
  const slope = pieces.reduce((sum, { t, rate }) => sum + (t - meanT) * rate, 0) / sxx;
  const residual = pieces.reduce(
    (sum, { t, rate }) => sum + (rate - meanRate - slope * (t - meanT)) ** 2,
    0,
  );
  const error = Math.sqrt(residual / (n - 2) / sxx);
  const pValue = error > 0 ? 2 * tCdf(-Math.abs(slope) / error, n - 2) : slope === 0 ? 1 : 0;
  const at = (t: number) => meanRate + slope * (t - meanT);
  const startRadPerS = at(tS[0] ?? 0);
  const endRadPerS = at(tS.at(-1) ?? 0);
  const blockS = pieces[0]?.lengthS ?? 1;
  const feigned = quantumRad / blockS;
  return {
    startRadPerS,
    endRadPerS,
    pValue,
    changing: pValue < 0.01 && Math.abs(endRadPerS - startRadPerS) > feigned,
  };
}
