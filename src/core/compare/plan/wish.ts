import { counted, errorLength, number, percent } from '../../text/quantities';
import type { Comparison } from '../compareSeries';
import { alphaOfOne } from '../power';
import { LEVEL_AT_END } from './lookOnce';
import { orderOf } from './mixedOrder';
import { wayCounts, type Way } from './ways';
import { runsNeeded, type DifferenceSought } from '../runsNeeded';

/** What a coach would like to see: so much nearer, so much less spread, so many more of ten. */
export type Wish =
  | { about: 'aim'; differenceM: number }
  | { about: 'spread'; lessM: number }
  | { about: 'success'; moreOfTen: number };

/** How much a wish is: metres of aim or spread, runs of ten of success. */
export function amountOf(wish: Wish): number {
  if (wish.about === 'aim') return wish.differenceM;
  return wish.about === 'spread' ? wish.lessM : wish.moreOfTen;
}

/** The wish of so much about something: the way back. */
export function wishOf(about: Wish['about'], amount: number): Wish {
  if (about === 'aim') return { about, differenceM: amount };
  return about === 'spread' ? { about, lessM: amount } : { about, moreOfTen: amount };
}

/** How many runs of each way a wish takes, in which order, and why; a sentence alone where it cannot be. */
export interface RunPlan {
  sentence: string;
  /** Of each way; null where there is no plan. */
  perSeries: number | null;
  order: Way[];
}

/** So many in a day, roughly; more are told as a number alone. */
const MOST_LISTED = 120;

const POWER = 0.8;
/** Of each of four ways, so that each has a spread. */
const LEAST_OF_FOUR = 3;

/** Mean distance from the middle over the standard deviation of one coordinate, of a normal cloud (Rayleigh). */
const DISTANCE_PER_SD = Math.sqrt(Math.PI / 2);

function differenceOf(wish: Wish, { a }: Comparison): DifferenceSought | string {
  const { meanDistanceM } = a;
  if (wish.about !== 'success' && meanDistanceM === null) {
    return 'Nobody measured where the runs before ended.';
  }
  if (wish.about === 'aim') {
    return { sdM: (meanDistanceM ?? 0) / DISTANCE_PER_SD, differenceM: wish.differenceM };
  }
  if (wish.about === 'spread') {
    const before = meanDistanceM ?? 0;
    const left = before - wish.lessM;
    return left <= 0
      ? `The spread before is ${errorLength(before)}: it cannot come down by ${errorLength(wish.lessM)}.`
      : { ratio: left / before };
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

/** "10 mm less spread" */
export function wished(wish: Wish): string {
  if (wish.about === 'aim') return WISHES.aim(wish);
  return wish.about === 'spread' ? WISHES.spread(wish) : WISHES.success(wish);
}

const none = (sentence: string): RunPlan => ({ sentence, perSeries: null, order: [] });

/** Of each way: of one change its question is asked alone; of two every run tells of both. */
function runsOfEach(difference: DifferenceSought, changes: 1 | 2): number | null {
  if (changes === 1) return runsNeeded(difference, POWER, alphaOfOne(LEVEL_AT_END));
  const ofOne = runsNeeded(difference, POWER);
  return ofOne === null ? null : Math.max(LEAST_OF_FOUR, Math.ceil(ofOne / 2));
}

/**
 * How many runs of each way it takes to see a difference that is worth having, with a chance of 80 %, and in which
 * order to make them: without and with one change, or with neither, each and both of two. What is known before is
 * taken from the first side of a comparison.
 */
export function planRuns(wish: Wish, comparison: Comparison, changes: 1 | 2 = 1): RunPlan {
  const difference = differenceOf(wish, comparison);
  if (typeof difference === 'string') return none(difference);
  const perSeries = runsOfEach(difference, changes);
  if (perSeries === null) {
    return none(
      `To see ${wished(wish)} would take more than 500 runs of each: a larger difference is worth looking for.`,
    );
  }
  const ways = wayCounts(changes);
  const total = ways * perSeries;
  const rule =
    changes === 1
      ? 'Look once half-way, and else when all are made: stopping as soon as it looks good would fool you.'
      : 'Look when all are made: stopping as soon as it looks good would fool you.';
  return {
    sentence: `To see ${wished(wish)}, make ${counted(perSeries, 'run')} of each${changes === 2 ? ' of the four ways' : ''}${total <= MOST_LISTED ? ' in the order below' : ''}; then, if it is there, it shows in 8 of 10 such plans. ${rule}`,
    perSeries,
    order: total <= MOST_LISTED ? orderOf(ways, perSeries) : [],
  };
}
