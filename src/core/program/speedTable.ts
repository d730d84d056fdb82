import { mean } from '../stats/moments';
import type { TimedDrive } from '../robot/profile';

interface Point {
  percent: number;
  mPerS: number;
}

/** The mean speed of a drive that was timed. */
export const timedSpeed = ({ distanceM, durationS }: TimedDrive): number => distanceM / durationS;

/** One point for each power, from weak to strong: the mean of the drives that were timed at it. */
function pointsOf(drives: readonly TimedDrive[]): Point[] {
  const powers = [...new Set(drives.map(({ percent }) => percent))].sort((a, b) => a - b);
  return powers.map((percent) => ({
    percent,
    mPerS: mean(drives.filter((drive) => drive.percent === percent).map(timedSpeed)),
  }));
}

/** Linear between neighbours; null outside of them, and where a stronger power was not faster. */
function between(
  points: readonly Point[],
  value: number,
  from: keyof Point,
  to: keyof Point,
): number | null {
  for (let i = 1; i < points.length; i += 1) {
    const [low, high] = [points[i - 1], points[i]];
    if (low === undefined || high === undefined) continue;
    if (value < low[from] || value > high[from] || high[from] === low[from]) continue;
    const share = (value - low[from]) / (high[from] - low[from]);
    return low[to] + share * (high[to] - low[to]);
  }
  return null;
}

/**
 * The speed at a percentage of power, between the powers that were timed: linear from one to the next.
 *
 * @returns null where nothing was timed on both sides: speed at a power is measured, not assumed
 */
export const speedAtPercent = (drives: readonly TimedDrive[], percent: number): number | null =>
  between(pointsOf(drives), percent, 'percent', 'mPerS');

/** The percentage of power at which it drives so fast, in the same way. */
export const percentForSpeed = (drives: readonly TimedDrive[], mPerS: number): number | null =>
  between(pointsOf(drives), mPerS, 'mPerS', 'percent');
