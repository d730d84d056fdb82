import { orderChart, type OrderChart } from '../runs/order';

/** A stretch of runs between two breaks; indexes, the last one included. Null figures where it is too short. */
export interface ChartStretch {
  from: number;
  to: number;
  centre: number | null;
  low: number | null;
  high: number | null;
  /** Limit of the difference between two runs that follow each other. */
  rangeLimit: number | null;
}

export interface ControlChart {
  stretches: ChartStretch[];
  signals: OrderChart['signals'];
}

/** The parts between breaks (indexes at which a new one begins), each with a chart of its own. */
export function chartsBetween(
  values: readonly number[],
  breaks: readonly number[],
): { from: number; to: number; chart: OrderChart | null }[] {
  const starts = [...new Set([0, ...breaks])].sort((a, b) => a - b);
  return starts
    .filter((start) => start < values.length)
    .map((from, i) => {
      const to = (starts[i + 1] ?? values.length) - 1;
      return { from, to, chart: orderChart(values.slice(from, to + 1)) };
    });
}

/**
 * An individuals and moving-range chart that begins anew at each break: mean ± 2.66 and 3.267 times the mean
 * moving range, with the rules of `orderChart`.
 *
 * @param breaks indexes at which a new stretch begins
 */
export function controlChart(
  values: readonly number[],
  breaks: readonly number[] = [],
): ControlChart {
  const charted = chartsBetween(values, breaks);
  return {
    stretches: charted.map(({ from, to, chart }) => ({
      from,
      to,
      centre: chart?.centre ?? null,
      low: chart?.low ?? null,
      high: chart?.high ?? null,
      rangeLimit: chart?.movingRangeHigh ?? null,
    })),
    signals: charted.flatMap(({ from, chart }) =>
      (chart?.signals ?? []).map(({ index, rule }) => ({ index: from + index, rule })),
    ),
  };
}
