import { decimate, type ChartPoint } from '../chart/decimate';
import { degreesFromRadians } from '../geometry/angle';
import type { StillLog } from './still/stillCheck';

/** A still log as a chart shows it: seconds from its start, degrees from its first heading (rates as they are). */
export interface ShownLog {
  points: ChartPoint[];
  startS: number;
  lengthS: number;
  /** The first heading, or 0 for rates. */
  firstRad: number;
}

/** About as many as a screen has columns for it. */
const MOST_POINTS = 700;

/** The points to draw of a log that may be long; no extreme is lost. */
export function shownLog(log: StillLog): ShownLog {
  const { tS } = log;
  const values = log.kind === 'heading' ? log.headingRad : log.rateRadPerS;
  const firstRad = log.kind === 'heading' ? (values[0] ?? 0) : 0;
  const startS = tS[0] ?? 0;
  const points = decimate(tS, values, MOST_POINTS).map(({ x, y }) => ({
    x: x - startS,
    y: degreesFromRadians(y - firstRad),
  }));
  return { points, startS, lengthS: (tS.at(-1) ?? startS) - startS, firstRad };
}
