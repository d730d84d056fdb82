import type { OrderChart } from '../runs/order';
import type { Stretch } from '../runs/orderStretches';
import { counted, errorLength } from '../text/quantities';
import { chartsBetween } from './controlChart';

/** A run with a measured end, and what was noted with it. */
export interface HistoryRun {
  seriesId: string;
  number: number;
  /** The day on which it was made, where the team is. */
  day: string;
  errorM: number;
  cause: string | null;
  note: string | null;
}

/** A run that stands out among those made alike. */
export interface StandingOut {
  run: HistoryRun;
  rule: OrderChart['signals'][number]['rule'];
}

export interface RouteHistory {
  /** As the chart of one series has it; the runs are numbered through all of them. */
  errors: { numbers: number[]; valuesM: number[]; stretches: Stretch[]; sentence: string };
  standOut: StandingOut[];
}

/** Fewer runs give limits too loose to say anything. */
const LEAST = 5;

function sentenceOf(stretches: readonly Stretch[], standOut: readonly StandingOut[]): string {
  const last = stretches.findLast(({ chart }) => chart !== null);
  if (last === undefined || last.chart === null) {
    return 'Five measured ends made alike are needed to see what is ordinary.';
  }
  const { centre, high } = last.chart;
  const found =
    standOut.length === 0
      ? 'No run stands out from those made alike.'
      : `${counted(standOut.length, 'run')} ${standOut.length === 1 ? 'stands' : 'stand'} out from those made alike.`;
  return `Last ${errorLength(centre)} from the target on average; up to ${errorLength(high)} is ordinary scatter. ${found}`;
}

/**
 * All runs of a route in the order in which they were made, as a control chart that begins anew with each series
 * and each day.
 *
 * @param runs in that order
 */
export function routeHistory(runs: readonly HistoryRun[]): RouteHistory {
  const isNew = (index: number) => {
    const [before, now] = [runs[index - 1], runs[index]];
    return before?.seriesId !== now?.seriesId || before?.day !== now?.day;
  };
  const breaks = runs.flatMap((_, index) => (isNew(index) ? [index] : []));
  const valuesM = runs.map(({ errorM }) => errorM);
  const stretches = chartsBetween(valuesM, breaks).map(({ from, to, chart }): Stretch => ({
    from,
    to,
    changed: [],
    chart: to - from + 1 < LEAST ? null : chart,
  }));
  const standOut = stretches.flatMap(({ from, chart }) =>
    (chart?.signals ?? []).flatMap(({ index, rule }) => {
      const run = runs[from + index];
      return run === undefined ? [] : [{ run, rule }];
    }),
  );
  return {
    errors: {
      numbers: runs.map((_, index) => index + 1),
      valuesM,
      stretches,
      sentence: sentenceOf(stretches, standOut),
    },
    standOut,
  };
}

export const RULE_WORDS: Record<StandingOut['rule'], string> = {
  'beyond-limits': 'outside the limits',
  'nine-on-one-side': 'the ninth in a row on one side of the middle',
  'six-in-a-trend': 'the sixth in a row that rises or falls',
};
