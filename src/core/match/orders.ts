import { bestOf, pointsSpread } from '../forecast/points';
import { mean, sampleSd } from '../stats/moments';
import { studentQuantile } from '../stats/student';
import type { DrivenLaunch } from './drivenLaunch';
import { playMatch, type Played } from './play';

/** With more launches, only those orders are tried in which one launch stands elsewhere. */
const MOST_PERMUTED = 5;

/** Another order of the launches, and what it would bring. */
export interface OtherOrder {
  /** Ids of the launches. */
  order: string[];
  expected: number;
  best: number;
  /** What it brings more on average, over the same draws; and between what: 95 % for all orders at once. */
  more: number;
  moreLow95: number;
  moreHigh95: number;
}

function permutations<T>(items: readonly T[]): T[][] {
  if (items.length < 2) return [[...items]];
  return items.flatMap((first, i) =>
    permutations(items.filter((_, j) => j !== i)).map((rest) => [first, ...rest]),
  );
}

/** Every order in which one of them stands elsewhere. */
const withOneMoved = <T>(items: readonly T[]): T[][] =>
  items.flatMap((moved, from) => {
    const others = items.filter((_, j) => j !== from);
    return items.flatMap((_, to) =>
      to === from || to === from - 1 ? [] : [[...others.slice(0, to), moved, ...others.slice(to)]],
    );
  });

/**
 * The other order that brings the most, by the best of so many matches, over the same draws as the order that was asked
 * about; null where none brings more than chance would.
 *
 * @param points of the order that was asked about, match by match
 */
export function betterOrder(
  launches: readonly DrivenLaunch[],
  played: Played,
  points: readonly number[],
  matches: number,
): OtherOrder | null {
  const orders = (
    launches.length <= MOST_PERMUTED ? permutations(launches) : withOneMoved(launches)
  ).filter((order) => order.some(({ id }, i) => id !== launches[i]?.id));
  const now = bestOf(pointsSpread(points), matches);
  // Of many orders, one looks better by chance: Bonferroni.
  const atOnce = studentQuantile(0.05 / Math.max(1, orders.length), points.length - 1);
  const found = orders.flatMap((order): OtherOrder[] => {
    const others = points.map((_, index) => playMatch(order, played, index).points);
    const best = bestOf(pointsSpread(others), matches);
    const more = others.map((one, i) => one - (points[i] ?? 0));
    const half = (atOnce * sampleSd(more)) / Math.sqrt(more.length);
    const [moreLow95, moreHigh95] = [mean(more) - half, mean(more) + half];
    if (best <= now || !(moreLow95 > 0)) return [];
    const ids = order.map(({ id }) => id);
    return [{ order: ids, expected: mean(others), best, more: mean(more), moreLow95, moreHigh95 }];
  });
  return found.toSorted((a, b) => b.best - a.best)[0] ?? null;
}
