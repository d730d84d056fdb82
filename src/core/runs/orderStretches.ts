import { orderChart, type OrderChart } from './order';

/** A measured run as far as the order looks at it. */
export interface OrderedRun {
  valueM: number;
  placedBy: string | null;
  battery: string | null;
}

/** Consecutive runs (by index, both included) that were made alike, with limits of their own. */
export interface Stretch {
  from: number;
  to: number;
  /** What was changed at its first run; empty for the first stretch. */
  changed: ('battery' | 'placedBy')[];
  chart: OrderChart | null;
}

/** Fewer runs give limits too loose to say anything. */
const LEAST = 5;

const FACTORS = ['battery', 'placedBy'] as const;

/** What is different from this run on, and stays so for at least as many runs as limits need. */
function lastingChanges(runs: readonly OrderedRun[], index: number): Stretch['changed'] {
  const next = runs.slice(index, index + LEAST);
  return FACTORS.filter((factor) => {
    const value = runs[index]?.[factor] ?? null;
    const before = runs[index - 1]?.[factor] ?? null;
    if (value === null || before === null || value === before) return false;
    return next.length === LEAST && next.every((run) => run[factor] === value);
  });
}

/**
 * The chart of individuals with breaks at known changes: another battery, somebody else placing the
 * robot. Each stretch is judged by its own limits, so that a known change is not reported as one that
 * nobody knows of. A change breaks the chart only when at least five runs follow alike and five runs
 * have gone before, for fewer give no limits: people who take turns break nothing.
 */
export function orderStretches(runs: readonly OrderedRun[]): Stretch[] {
  const starts: { from: number; changed: Stretch['changed'] }[] = [{ from: 0, changed: [] }];
  runs.forEach((_, index) => {
    const begun = starts.at(-1)?.from ?? 0;
    if (index - begun < LEAST) return;
    const changed = lastingChanges(runs, index);
    if (changed.length > 0) starts.push({ from: index, changed });
  });
  return starts.map(({ from, changed }, i) => {
    const to = (starts[i + 1]?.from ?? runs.length) - 1;
    const values = runs.slice(from, to + 1).map(({ valueM }) => valueM);
    return { from, to, changed, chart: orderChart(values) };
  });
}
