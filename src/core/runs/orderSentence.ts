import { counted, errorLength } from '../text/quantities';
import type { OrderedRun, Stretch } from './orderStretches';

const RULES = {
  'beyond-limits': 'lies outside the limits',
  'nine-on-one-side': 'ends nine in a row on one side of the middle',
  'six-in-a-trend': 'ends six in a row rising or falling',
} as const;

function breakSentence(
  { from, changed, chart }: Stretch,
  before: Stretch | undefined,
  runs: readonly OrderedRun[],
  numbers: readonly number[],
): string {
  const run = runs[from];
  const what = changed.map((factor) =>
    factor === 'battery'
      ? `with battery ${run?.battery ?? ''}`
      : `with ${run?.placedBy ?? ''} placing the robot`,
  );
  const means = `on average ${errorLength(before?.chart?.centre ?? 0)} from the target before, ${errorLength(chart?.centre ?? 0)} since`;
  return `From run ${numbers[from] ?? from + 1} on, ${what.join(' and ')}, the limits start anew: ${means}.`;
}

function signalSentence(stretches: readonly Stretch[], numbers: readonly number[]): string {
  const signals = stretches.flatMap(({ from, chart }) =>
    (chart?.signals ?? []).map(({ index, rule }) => ({ index: from + index, rule })),
  );
  const [first, ...others] = signals;
  if (first === undefined) {
    return stretches.length === 1
      ? 'No sign of a change on the way: the ends scatter alike from the first run to the last.'
      : 'No sign of another change within these stretches.';
  }
  const more =
    others.length === 0
      ? ''
      : `, and there ${others.length === 1 ? 'is' : 'are'} ${counted(others.length, 'more sign')}`;
  return `Something changed on the way: run ${numbers[first.index] ?? first.index + 1} ${RULES[first.rule]}${more}. Ask what was different from there on.`;
}

/**
 * What the order of the runs says: whether they all come from one and the same process.
 *
 * @param runs the measured runs in order, and the stretches made from them
 * @param numbers the runs' numbers
 */
export function orderSentence(
  runs: readonly OrderedRun[],
  stretches: readonly Stretch[],
  numbers: readonly number[],
): string {
  if (runs.length < 2) return 'Two measured ends are needed to see an order.';
  const breaks = stretches
    .slice(1)
    .map((stretch, i) => breakSentence(stretch, stretches[i], runs, numbers));
  return [...breaks, signalSentence(stretches, numbers)].join(' ');
}
