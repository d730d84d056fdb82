import { median } from '../stats/median';
import { radiansFromDegrees } from '../geometry/angle';
import { degrees } from '../text/quantities';
import { turnPoint, type TurnPoint, type TurnTrial } from './trial';

/** Why a trial does not belong to the others. */
export type MisfitReason = 'other way' | 'hardly turned' | 'other target' | 'far';

/** A trial that is asked about. */
export interface Misfit {
  /** Its place in the list. */
  index: number;
  reason: MisfitReason;
  /** The angle that it was rather told, a magnitude, where one fits. */
  perhapsRad: number | null;
  /** By how much it went further than the others told the same, in the direction of the turn. */
  furtherRad: number;
  /** So far off that it takes no part in any verdict until it is mended or set aside. */
  leftOut: boolean;
}

/** A robot that makes less than this of what it is told did not turn. */
const LEAST_SHARE = 0.25;
/** A turn that misses what it was told by so much, and by this share, was perhaps told something else. */
const OTHER_TARGET_RAD = radiansFromDegrees(20);
const OTHER_TARGET_SHARE = 0.25;
/** ... where it comes so near another angle that is used. */
const NEAR_RAD = radiansFromDegrees(8);
const NEAR_SHARE = 0.12;
const USUAL_TARGETS_RAD = [30, 45, 60, 90, 120, 180, 270, 360].map(radiansFromDegrees);

/** Fewer trials of a kind do not say what is usual. */
const LEAST_ALIKE = 4;
/** So many robust standard deviations are no scatter any more. */
const FAR = 6;
/** A robot's turns may differ by this much, and by this share of the angle, without being odd. */
const USUAL_RAD = radiansFromDegrees(2);
const USUAL_SHARE = 0.03;
const ALIKE_SHARE = 0.01;
/** Where more of a kind do not fit than this, they are what the robot does, and no slip. */
const MOST_SHARE = 0.5;

const sameKind = (a: TurnPoint, b: TurnPoint): boolean =>
  a.side === b.side && a.kind === b.kind && Math.abs(a.rate - b.rate) <= ALIKE_SHARE * b.rate;

const isAlike = (a: TurnPoint, b: TurnPoint): boolean =>
  sameKind(a, b) && Math.abs(a.target - b.target) <= ALIKE_SHARE * b.target;

const isGross = (missedRad: number, target: number): boolean =>
  Math.abs(missedRad) > Math.max(OTHER_TARGET_RAD, OTHER_TARGET_SHARE * target);

/** What can be seen of one trial alone: it turned the other way, not at all, or as if told another angle. */
export function misfitAlone(
  { target, actual }: Pick<TurnPoint, 'target' | 'actual'>,
  targetsRad: readonly number[],
): Pick<Misfit, 'reason' | 'perhapsRad'> | null {
  if (actual <= -LEAST_SHARE * target) return { reason: 'other way', perhapsRad: null };
  const far = isGross(actual - target, target);
  const nearest = [...targetsRad, ...USUAL_TARGETS_RAD]
    .filter((angle) => Math.abs(actual - angle) < Math.max(NEAR_RAD, NEAR_SHARE * angle))
    .toSorted((a, b) => Math.abs(actual - a) - Math.abs(actual - b))[0];
  if (far && nearest !== undefined) return { reason: 'other target', perhapsRad: nearest };
  return actual < LEAST_SHARE * target ? { reason: 'hardly turned', perhapsRad: null } : null;
}

/** Against the others told the same: farther from their median than six robust standard deviations. */
function furtherThanOthers(point: TurnPoint, points: readonly TurnPoint[]): number | null {
  const alike = points.filter((other) => isAlike(other, point));
  if (alike.length < LEAST_ALIKE) return null;
  const usual = median(alike.map(({ actual }) => actual));
  const spread = 1.4826 * median(alike.map(({ actual }) => Math.abs(actual - usual)));
  const furtherRad = point.actual - usual;
  const limit = Math.max(FAR * spread, USUAL_RAD, USUAL_SHARE * point.target);
  return Math.abs(furtherRad) > limit ? furtherRad : null;
}

/**
 * Trials that do not fit the others: turned the other way, not at all, like another angle that is used,
 * or farther from their median than six robust standard deviations (1.4826 · median absolute deviation).
 * One of them would hide what all the others say: it is to be looked at, repeated, or set aside with a
 * reason, and the gross ones do not count until then. Where at least half of a kind do not fit, none is: that is what the robot does.
 *
 * Source: Hampel, J. Amer. Statist. Assoc. 69 (1974) 383–393.
 * @param driftRadPerS the known drift, taken out first
 */
export function misfits(trials: readonly TurnTrial[], driftRadPerS: number): Misfit[] {
  const points = trials.map((trial) => turnPoint(trial, driftRadPerS));
  const targets = [...new Set(points.map(({ target }) => target))];
  const found = points.flatMap((point, index): Misfit[] => {
    const alone = misfitAlone(point, targets);
    if (alone !== null) {
      return [{ index, ...alone, furtherRad: point.actual - point.target, leftOut: true }];
    }
    const furtherRad = furtherThanOthers(point, points);
    if (furtherRad === null) return [];
    const leftOut = isGross(furtherRad, point.target);
    return [{ index, reason: 'far', perhapsRad: null, furtherRad, leftOut }];
  });
  return found.filter(({ index }) => {
    const point = points[index];
    if (point === undefined) return false;
    const all = points.filter((other) => sameKind(other, point)).length;
    const odd = found.filter((other) => {
      const its = points[other.index];
      return its !== undefined && sameKind(its, point);
    }).length;
    return odd < MOST_SHARE * all;
  });
}

/** What to ask about a trial that does not fit, in a sentence. */
export function misfitText(
  { targetRad, actualRad }: Pick<TurnTrial, 'targetRad' | 'actualRad'>,
  { reason, perhapsRad, furtherRad }: Pick<Misfit, 'reason' | 'perhapsRad' | 'furtherRad'>,
): string {
  const told = degrees(Math.abs(targetRad), 0);
  const measured = degrees(Math.abs(actualRad));
  switch (reason) {
    case 'other way':
      return `${told} to the ${targetRad < 0 ? 'right' : 'left'} was told, and it turned the other way: was the direction right?`;
    case 'hardly turned':
      return `${told} was told, and it hardly turned (${measured}): did both motors run?`;
    case 'other target':
      return `${told} was told and ${measured} measured: was it ${degrees(perhapsRad ?? 0, 0)}?`;
    case 'far':
      return `It went ${degrees(Math.abs(furtherRad))} ${furtherRad > 0 ? 'further' : 'less far'} than the others told the same: was it typed right, did a wheel slip?`;
  }
}
