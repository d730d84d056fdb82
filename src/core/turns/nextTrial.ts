import { degrees, number } from '../text/quantities';
import { degreesFromRadians } from '../geometry/angle';
import { uncertaintyAt, type TurnErrorModel } from './errorModel';
import type { TurnGroup } from './grouping';
import { sideOf, type TurnDirection } from '../calibrationValues/turnCommand';

export interface NextTrial {
  targetRad: number;
  direction: TurnDirection;
  rateRadPerS: number;
  kind: 'spin' | 'pivot';
  why: string;
}

/** More trials are worth it while they would narrow the interval of a turn by more than this. */
const WORTH_NARROWING = 0.04;
/** With fewer trials no model is believed. */
const LEAST_TRIALS = 5;
/** A protractor counts for so much of the scatter that a better one is the next thing. */
const READING_DOMINATES = 0.5;

/** How uncertain the fitted error is over the wanted angles, in units of the noise's variance. */
function meanUncertainty(model: TurnErrorModel, wanted: readonly number[]): number {
  const sum = wanted.reduce((total, angle) => total + uncertaintyAt(model, Math.abs(angle)), 0);
  return sum / Math.max(1, wanted.length);
}

/** The same, if one more trial at a target were made: the inverse updated by one row (Sherman–Morrison). */
function withOneMore(model: TurnErrorModel, target: number, wanted: readonly number[]): number {
  const columns = model.columnsAt;
  const inverse = model.fit.unscaledCovariance;
  const times = (v: number[]) =>
    inverse.map((row) => row.reduce((sum, value, j) => sum + value * (v[j] ?? 0), 0));
  const dot = (a: number[], b: number[]) =>
    a.reduce((sum, value, i) => sum + value * (b[i] ?? 0), 0);
  const x = columns(target);
  const byX = times(x);
  const scale = 1 + dot(x, byX);
  const at = (angle: number) => {
    const v = columns(Math.abs(angle));
    return dot(v, times(v)) - dot(v, byX) ** 2 / scale;
  };
  return wanted.reduce((total, angle) => total + at(angle), 0) / Math.max(1, wanted.length);
}

export interface Advice {
  next: NextTrial | null;
  sentence: string;
}

/**
 * The trial that would tell most about the wanted angles, and when to stop.
 *
 * The group with the most uncertain interval gets the next trial, at the wanted angle that narrows it
 * most. It stops when the robot's own scatter dominates (more trials do not narrow the interval) or
 * the protractor's (a better one would).
 * @param readingSdRad of one reading of the protractor
 */
export function adviseNextTrial(
  groups: readonly TurnGroup[],
  wantedRad: readonly number[],
  readingSdRad: number,
): Advice {
  if (groups.length === 0 || wantedRad.length === 0) {
    return { next: null, sentence: 'Begin with the plan.' };
  }
  const untried = wantedRad.find(
    (angle) => !groups.some(({ direction }) => direction === 'both' || direction === sideOf(angle)),
  );
  const [any] = groups;
  if (untried !== undefined && any !== undefined) {
    const direction = sideOf(untried);
    const [rateRadPerS = 1.5] = any.rates;
    const next = {
      targetRad: untried,
      direction,
      rateRadPerS,
      kind: any.kind,
      why: 'it was never tried',
    };
    return {
      next,
      sentence: `Next: ${degrees(Math.abs(untried), 0)} to the ${direction}, which was never tried.`,
    };
  }
  const judged = groups.map((group) => {
    const side = group.direction === 'both' ? null : group.direction;
    const own = wantedRad.filter((angle) => side === null || angle < 0 === (side === 'right'));
    const wanted = own.length > 0 ? own : wantedRad;
    const { model } = group;
    // Too few trials to believe any model: that first.
    const few = model.n < LEAST_TRIALS;
    return { group, wanted, few, uncertainty: few ? Infinity : meanUncertainty(model, wanted) };
  });
  const [worst] = judged.toSorted((a, b) => b.uncertainty - a.uncertainty);
  if (worst === undefined) return { next: null, sentence: '' };
  const { group, wanted, few, uncertainty } = worst;
  const { model } = group;
  const candidates = [...new Set(wanted.map(Math.abs))];
  const best = candidates
    .map((target) => ({ target, after: few ? 0 : withOneMore(model, target, wanted) }))
    .toSorted((a, b) => a.after - b.after)[0];
  const narrowing = few ? 1 : 1 - Math.sqrt((1 + (best?.after ?? uncertainty)) / (1 + uncertainty));
  const sd = model.residualSdRad;
  if (!few && narrowing < WORTH_NARROWING) {
    const share = sd > 0 ? (readingSdRad / sd) ** 2 : 0;
    return {
      next: null,
      sentence:
        share > READING_DOMINATES
          ? `Enough: what is left is mostly the reading of the protractor (± ${degrees(readingSdRad)}); a better way of measuring would tell more than further turns.`
          : `Enough: the robot’s own scatter of ± ${number(degreesFromRadians(sd), 1)}° is what is left, and more trials would not make it smaller.`,
    };
  }
  const direction: TurnDirection = group.direction === 'both' ? leastTried(group) : group.direction;
  const targetRad = (direction === 'right' ? -1 : 1) * (best?.target ?? Math.PI / 2);
  const rateRadPerS = group.rates[0] ?? 1.5;
  const why = few
    ? 'there are fewer than five trials of this kind'
    : `it narrows the interval of the wanted turns by ${number(narrowing * 100)} %`;
  return {
    next: { targetRad, direction, rateRadPerS, kind: group.kind, why },
    sentence: `Next: ${degrees(Math.abs(targetRad), 0)} to the ${direction} at ${degrees(rateRadPerS, 0)}/s, because ${why}.`,
  };
}

/** Where both directions are one group, the side that was tried less. */
function leastTried({ points }: TurnGroup): TurnDirection {
  const left = points.filter(({ side }) => side === 'left').length;
  return left * 2 > points.length ? 'right' : 'left';
}
