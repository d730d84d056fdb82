import { counted } from '../text/quantities';
import type { OrderChart } from './order';

const RULES = {
  'beyond-limits': 'lies outside the limits',
  'nine-on-one-side': 'ends nine in a row on one side of the middle',
  'six-in-a-trend': 'ends six in a row rising or falling',
} as const;

/**
 * What the order of the runs says: whether they all come from one and the same process.
 *
 * @param numbers the runs' numbers, in the order of the chart's values
 */
export function orderSentence(chart: OrderChart | null, numbers: readonly number[]): string {
  if (chart === null) return 'Two measured ends are needed to see an order.';
  const [first, ...others] = chart.signals;
  if (first === undefined) {
    return 'No sign of a change on the way: the ends scatter alike from the first run to the last.';
  }
  const more =
    others.length === 0
      ? ''
      : `, and there ${others.length === 1 ? 'is' : 'are'} ${counted(others.length, 'more sign')}`;
  return `Something changed on the way: run ${numbers[first.index] ?? first.index + 1} ${RULES[first.rule]}${more}. Ask what was different from there on.`;
}
