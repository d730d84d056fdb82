import { radiansFromDegrees } from '../geometry/angle';
import { roundedFit } from '../stats/roundedFit';
import { student95 } from '../stats/student';
import { turnedBy, turnErrorModel, type TurnErrorModel } from './errorModel';
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

/** Groups with fewer trials than this stay apart: too few to show that they are alike. */
const LEAST_TRIALS_TO_POOL = 4;
/** A difference within this is none to anybody who reads a protractor. */
const SMALL_RAD = radiansFromDegrees(0.5);
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

/**
 * Whether two sets of trials are shown to be alike: the 90 % interval of their difference (of the errors,
 * with one slope for both where several angles were tried) lies within the scatter of single turns, or
 * half a degree if that is larger; and the fits apart differ by no more at the ends of what was tried.
 * To find no difference is no proof of none.
 *
 * Source: two one-sided tests, Schuirmann, J. Pharmacokinet. Biopharm. 15 (1987) 657–680.
 */
function areAlike(a: readonly TurnPoint[], b: readonly TurnPoint[]): boolean {
  if (Math.min(a.length, b.length) < LEAST_TRIALS_TO_POOL) return false;
  const all = [...a, ...b];
  const { oneTarget, fromRad, toRad } = turnErrorModel(all);
  const known = all.every((one) => one.known !== undefined) ? (all[0]?.known?.scaleError ?? 0) : 0;
  const joint = roundedFit(
    all.map(({ target }, i) => [...(oneTarget ? [1] : [1, target]), i < a.length ? 0.5 : -0.5]),
    all.map(({ target, actual }) => actual - (1 + known) * target),
    all.map(({ stepRad }) => stepRad),
  );
  const difference = joint?.coefficients.at(-1);
  if (joint === null || difference === undefined || joint.degreesOfFreedom < 1) return false;
  const error = joint.residualSd * Math.sqrt(joint.unscaledCovariance.at(-1)?.at(-1) ?? Infinity);
  const small = Math.max(SMALL_RAD, joint.residualSd);
  if (Math.abs(difference) + student95(joint.degreesOfFreedom) * error > small) return false;
  const largest = (set: readonly TurnPoint[]) => {
    const alone = turnErrorModel(set);
    return turnErrorModel(set, alone.oneTarget ? 'c' : 'both');
  };
  const [first, second] = [largest(a), largest(b)];
  return [fromRad, toRad].every(
    (told) => Math.abs(turnedBy(first, told) - turnedBy(second, told)) <= small,
  );
}

/** Whether sets of trials may be taken together: each is alike each other. */
const mayPool = (sets: readonly (readonly TurnPoint[])[]): boolean =>
  sets.every((a, i) => sets.slice(i + 1).every((b) => areAlike(a, b)));

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
  const joinSides = sides.length === 2 && rates.map(bySide).every(mayPool);
  const directions = joinSides ? (['both'] as const) : sides;
  return directions.flatMap((direction) => {
    const own = points.filter(({ side }) => direction === 'both' || side === direction);
    const ownRates = ratesTried(own);
    const sets = ownRates.map((rate) => own.filter(isAt(rate)));
    if (ownRates.length > 1 && mayPool(sets)) return [group(own, direction, null)];
    return sets.map((set, i) => group(set, direction, ownRates[i] ?? null));
  });
}

/**
 * Trials in groups that behave alike. Directions and rates are kept apart unless they are shown to be
 * alike; kinds are never joined.
 */
export const groupTurns = (points: readonly TurnPoint[]): TurnGroup[] =>
  (['spin', 'pivot'] as const).flatMap((kind) =>
    groupsOfKind(points.filter((point) => point.kind === kind)),
  );
