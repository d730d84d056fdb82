import { fUpperTail } from '../stats/student';
import { turnErrorModel, type TurnErrorModel } from './errorModel';
import type { TurnPoint } from './trial';

/** Trials with one model for them all; null rate: several rates pooled. */
export interface TurnGroup {
  direction: 'left' | 'right' | 'both';
  rateRadPerS: number | null;
  kind: 'spin' | 'pivot';
  /** The rates that were tried in it. */
  rates: number[];
  points: TurnPoint[];
  model: TurnErrorModel;
}

/** Groups with fewer trials than this stay apart: too few to find a difference in. */
export const LEAST_TRIALS_TO_POOL = 4;
/** A difference that shows at this level keeps groups apart. */
export const POOL_ALPHA = 0.1;
/** Rates alike to a hundredth are one. */
const SAME_RATE = 0.01;

/** Each rate that was tried, once. */
export function ratesTried(points: readonly TurnPoint[]): number[] {
  const rates: number[] = [];
  for (const { rate } of points.toSorted((a, b) => a.rate - b.rate)) {
    const last = rates.at(-1);
    if (last === undefined || rate > last * (1 + SAME_RATE)) rates.push(rate);
  }
  return rates;
}

const isAt = (rate: number) => (point: TurnPoint) =>
  point.rate >= rate * (1 - 1e-9) && point.rate <= rate * (1 + SAME_RATE);

interface Fitted {
  square: number;
  parameters: number;
}

/** The largest model that a set can carry, so that groups are compared by the same. */
function fitLargest(points: readonly TurnPoint[]): Fitted {
  const free = turnErrorModel(points);
  const { model, fit } = turnErrorModel(points, free.oneTarget ? 'c' : 'both');
  return { square: fit.residualSumOfSquares, parameters: model === 'both' ? 2 : 1 };
}

/**
 * Whether sets of trials may be taken together: each has at least four, and an F-test of "one model
 * for all" against "one for each" finds no difference at 10 %.
 *
 * Source: Chow, Econometrica 28 (1960) 591–605.
 * @param pools how the sets are joined: one list of sets for each pool
 */
function mayPool(pools: readonly (readonly TurnPoint[])[][]): boolean {
  const apart = pools.flat();
  if (apart.some((set) => set.length < LEAST_TRIALS_TO_POOL)) return false;
  const sum = (fits: Fitted[]): Fitted => ({
    square: fits.reduce((total, { square }) => total + square, 0),
    parameters: fits.reduce((total, { parameters }) => total + parameters, 0),
  });
  const separate = sum(apart.map(fitLargest));
  const together = sum(pools.map((sets) => fitLargest(sets.flat())));
  const gained = separate.parameters - together.parameters;
  const n = apart.reduce((total, set) => total + set.length, 0);
  const freedom = n - separate.parameters;
  if (gained <= 0 || freedom <= 0) return false;
  // Noise below this is none: identical sets must not differ by rounding.
  const noise = Math.max(separate.square / freedom, 1e-12);
  const f = (together.square - separate.square) / gained / noise;
  return fUpperTail(f, gained, freedom) > POOL_ALPHA;
}

const group = (
  points: TurnPoint[],
  direction: TurnGroup['direction'],
  rateRadPerS: number | null,
): TurnGroup => ({
  direction,
  rateRadPerS,
  kind: points[0]?.kind ?? 'spin',
  rates: ratesTried(points),
  points,
  model: turnErrorModel(points),
});

/** Groups of one kind of turn: by direction, then by rate, joined where the trials allow it. */
function groupsOfKind(points: readonly TurnPoint[]): TurnGroup[] {
  const rates = ratesTried(points);
  const sides = (['left', 'right'] as const).filter((side) =>
    points.some((point) => point.side === side),
  );
  const bySide = (rate: number) =>
    sides.map((side) => points.filter((point) => point.side === side && isAt(rate)(point)));
  const joinSides = sides.length === 2 && mayPool(rates.map(bySide));
  const directions = joinSides ? (['both'] as const) : sides;
  return directions.flatMap((direction) => {
    const own = points.filter(({ side }) => direction === 'both' || side === direction);
    const ownRates = ratesTried(own);
    const sets = ownRates.map((rate) => own.filter(isAt(rate)));
    if (ownRates.length > 1 && mayPool([sets])) return [group(own, direction, null)];
    return sets.map((set, i) => group(set, direction, ownRates[i] ?? null));
  });
}

/**
 * Trials in groups that behave alike. Directions, rates and kinds are kept apart unless there are
 * enough trials to tell and no difference is found; kinds are never joined.
 */
export const groupTurns = (points: readonly TurnPoint[]): TurnGroup[] =>
  (['spin', 'pivot'] as const).flatMap((kind) =>
    groupsOfKind(points.filter((point) => point.kind === kind)),
  );
