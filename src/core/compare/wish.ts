import { counted, errorLength, number, percent } from '../text/quantities';
import type { Comparison } from './compareSeries';
import { mixedOrder } from './mixedOrder';
import { runsNeeded, type Difference } from './runsNeeded';

/** What a coach would like to see: so much nearer, so much less spread, so many more of ten. */
export type Wish =
  | { about: 'aim'; differenceM: number }
  | { about: 'spread'; lessM: number }
  | { about: 'success'; moreOfTen: number };

/** How many runs a wish takes, in which order, and why; a sentence alone where it cannot be. */
export interface RunPlan {
  sentence: string;
  order: ('A' | 'B')[];
}

/** So many in a day, roughly; more are told as a number alone. */
const MOST_LISTED = 60;

/** Mean distance from the middle over the standard deviation of one coordinate, of a normal cloud (Rayleigh). */
const DISTANCE_PER_SD = Math.sqrt(Math.PI / 2);

function differenceOf(wish: Wish, { a }: Comparison): Difference | string {
  if (wish.about === 'aim') {
    return { sdM: a.meanDistanceM / DISTANCE_PER_SD, differenceM: wish.differenceM };
  }
  if (wish.about === 'spread') {
    const left = a.meanDistanceM - wish.lessM;
    return left <= 0
      ? `The spread before is ${errorLength(a.meanDistanceM)}: it cannot come down by ${errorLength(wish.lessM)}.`
      : { ratio: left / a.meanDistanceM };
  }
  const rateA = a.success?.rate ?? null;
  if (rateA === null) return 'Nobody noted before whether the runs worked.';
  const rateB = rateA + wish.moreOfTen / 10;
  return rateB > 1
    ? `${percent(rateA)} worked before: ${number(wish.moreOfTen)} more of ten are more than all.`
    : { rateA, rateB };
}

const WISHES = {
  aim: (wish: Wish & { about: 'aim' }) => `an aim that moved by ${errorLength(wish.differenceM)}`,
  spread: (wish: Wish & { about: 'spread' }) => `${errorLength(wish.lessM)} less spread`,
  success: (wish: Wish & { about: 'success' }) => `${number(wish.moreOfTen)} more runs of ten`,
};

function wished(wish: Wish): string {
  if (wish.about === 'aim') return WISHES.aim(wish);
  return wish.about === 'spread' ? WISHES.spread(wish) : WISHES.success(wish);
}

/**
 * How many runs of each of two ways it takes to see a difference that is worth having, with a chance of 80 %, and
 * in which order to make them. What is known before is taken from the first side of a comparison.
 */
export function planRuns(wish: Wish, comparison: Comparison): RunPlan {
  const difference = differenceOf(wish, comparison);
  if (typeof difference === 'string') return { sentence: difference, order: [] };
  const perSeries = runsNeeded(difference);
  if (perSeries === null) {
    return {
      sentence: `To see ${wished(wish)} would take more than 500 runs of each: a larger difference is worth looking for.`,
      order: [],
    };
  }
  const mixed = perSeries <= MOST_LISTED ? mixedOrder(perSeries) : [];
  return {
    sentence: `To see ${wished(wish)}, make ${counted(perSeries, 'run')} of each in the order below; then, if it is there, it shows in 8 of 10 such plans. Compare when all are made: stopping as soon as it looks good would fool you.`,
    order: mixed,
  };
}
