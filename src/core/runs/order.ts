import { mean } from '../stats/moments';

/** Individuals and moving-range chart of one figure, in the order in which the runs were made. */
export interface OrderChart {
  centre: number;
  low: number;
  high: number;
  meanMovingRange: number;
  movingRangeHigh: number;
  /** Runs (by index into the values) that break a rule, and which. */
  signals: { index: number; rule: 'beyond-limits' | 'nine-on-one-side' | 'six-in-a-trend' }[];
}

function nineOnOneSide(values: readonly number[], centre: number): number[] {
  let side = 0;
  let length = 0;
  return values.flatMap((value, index) => {
    const here = Math.sign(value - centre);
    length = here !== 0 && here === side ? length + 1 : 1;
    side = here;
    return length >= 9 ? [index] : [];
  });
}

function sixInATrend(values: readonly number[]): number[] {
  let direction = 0;
  let length = 1;
  return values.flatMap((value, index) => {
    const here = Math.sign(value - (values[index - 1] ?? value));
    length = here !== 0 && here === direction ? length + 1 : here === 0 ? 1 : 2;
    direction = here;
    return length >= 6 ? [index] : [];
  });
}

/**
 * Whether a figure stays the same from run to run: mean ± 2.66·(mean moving range), and run rules
 * (beyond the limits; nine in a row on one side; six in a row rising or falling).
 *
 * Source: Shewhart's chart for individuals with limits as in ISO 7870-2:2013; rules 1 to 3 of
 * Nelson, J. Quality Technology 16 (1984) 237–239.
 * @param values at least two; null is returned for fewer
 */
export function orderChart(values: readonly number[]): OrderChart | null {
  if (values.length < 2) return null;
  const centre = mean(values);
  const ranges = values.slice(1).map((value, i) => Math.abs(value - (values[i] ?? value)));
  const meanMovingRange = mean(ranges);
  const low = centre - 2.66 * meanMovingRange;
  const high = centre + 2.66 * meanMovingRange;
  const beyond = values.flatMap((value, index) => (value < low || value > high ? [index] : []));
  return {
    centre,
    low,
    high,
    meanMovingRange,
    movingRangeHigh: 3.267 * meanMovingRange,
    signals: [
      ...beyond.map((index) => ({ index, rule: 'beyond-limits' as const })),
      ...nineOnOneSide(values, centre).map((index) => ({
        index,
        rule: 'nine-on-one-side' as const,
      })),
      ...sixInATrend(values).map((index) => ({ index, rule: 'six-in-a-trend' as const })),
    ],
  };
}
