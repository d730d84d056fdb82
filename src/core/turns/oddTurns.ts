import { radiansFromDegrees } from '../geometry/angle';
import { turnPoint, type TurnPoint, type TurnTrial } from './trial';

/** A trial that stands far from the others of its kind. */
export interface OddTurn {
  /** Its place in the list. */
  index: number;
  /** By how much it went further than the others, in the direction of the turn. */
  furtherRad: number;
}

/** Fewer trials of a kind do not say what is usual. */
const LEAST_ALIKE = 4;
/** So many robust standard deviations are no scatter any more. */
const FAR = 6;
/** A robot's turns may differ by this much, and by this share of the angle, without being odd. */
const USUAL_RAD = radiansFromDegrees(2);
const USUAL_SHARE = 0.03;
const ALIKE_SHARE = 0.01;

function median(values: readonly number[]): number {
  const sorted = values.toSorted((a, b) => a - b);
  const half = Math.floor(sorted.length / 2);
  const upper = sorted[half] ?? Number.NaN;
  return sorted.length % 2 === 1 ? upper : (upper + (sorted[half - 1] ?? upper)) / 2;
}

const isAlike = (a: TurnPoint, b: TurnPoint): boolean =>
  a.side === b.side &&
  a.kind === b.kind &&
  Math.abs(a.rate - b.rate) <= ALIKE_SHARE * b.rate &&
  Math.abs(a.target - b.target) <= ALIKE_SHARE * b.target;

/**
 * Trials that stand far from the others told the same: farther from their median than six robust
 * standard deviations (1.4826 · median absolute deviation), and farther than turns usually differ.
 * One of them hides what all the others say: it is to be looked at, repeated, or set aside with a reason.
 *
 * Source: Hampel, J. Amer. Statist. Assoc. 69 (1974) 383–393.
 * @param driftRadPerS the known drift, taken out first
 */
export function oddTurns(trials: readonly TurnTrial[], driftRadPerS: number): OddTurn[] {
  const points = trials.map((trial) => turnPoint(trial, driftRadPerS));
  return points.flatMap((point, index): OddTurn[] => {
    const alike = points.filter((other) => isAlike(other, point));
    if (alike.length < LEAST_ALIKE) return [];
    const usual = median(alike.map(({ actual }) => actual));
    const spread = 1.4826 * median(alike.map(({ actual }) => Math.abs(actual - usual)));
    const furtherRad = point.actual - usual;
    const limit = Math.max(FAR * spread, USUAL_RAD, USUAL_SHARE * point.target);
    return Math.abs(furtherRad) > limit ? [{ index, furtherRad }] : [];
  });
}
