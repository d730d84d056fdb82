import type { TurnTrial } from './trial';

/** One kind of turn in the plan, and how many of it were made. */
export interface PlannedTurn {
  /** A magnitude. */
  targetRad: number;
  direction: 'left' | 'right';
  rateRadPerS: number;
  done: number;
}

export interface TrialPlan {
  turns: PlannedTurn[];
  /** The rates, slowest first. */
  rates: number[];
  /** So many are made of each. */
  each: number;
  done: number;
  wanted: number;
  /** The four turns to begin with: what they tell is enough to go on by. */
  isFirst: boolean;
}

/** So many turns tell whether there is anything to correct. */
const FIRST = 4;
/** Three tell a scatter; what more would tell, the advice says. */
const EACH = 3;
const ALIKE = 0.05;
/** 90 and 180 degrees a second. */
const USUAL_RATES = [Math.PI / 2, Math.PI] as const;

const isAlike = (a: number, b: number): boolean => Math.abs(a - b) <= ALIKE * b;

/** Two rates: the slowest and the fastest that were tried, or else the usual two. */
function ratesToTry(tried: readonly number[]): number[] {
  const isUsual = tried.every((rate) => USUAL_RATES.some((usual) => isAlike(rate, usual)));
  if (isUsual) return [...USUAL_RATES];
  const slow = Math.min(...tried);
  const fast = Math.max(...tried);
  return isAlike(fast, slow) ? [slow, 2 * slow] : [slow, fast];
}

const planned = (
  turns: PlannedTurn[],
  rates: number[],
  each: number,
  isFirst: boolean,
): TrialPlan => ({
  turns,
  rates,
  each,
  done: turns.reduce((sum, { done }) => sum + Math.min(each, done), 0),
  wanted: each * turns.length,
  isFirst,
});

/**
 * Which turns to make. Four to begin with, at the angles in use, to either side, at one rate. Then, for who wants to
 * know why: the smallest and the largest angle in use (a constant and a share of the angle
 * are told apart by angles far from one another), to either side (they often differ), at two rates
 * (lag and braking are told apart by rates far from one another): three of each.
 *
 * @param trials those that count
 * @param wantedRad angles that the team uses, signed or not; at least one
 * @param kind how the wheels turn
 */
export function trialPlan(
  trials: readonly Pick<TurnTrial, 'targetRad' | 'rateRadPerS' | 'kind'>[],
  wantedRad: readonly number[],
  kind: TurnTrial['kind'],
): TrialPlan {
  const own = trials.filter((trial) => trial.kind === kind);
  const sizes = wantedRad.map(Math.abs);
  const angles = [...new Set([Math.min(...sizes), Math.max(...sizes)])];
  const rates = ratesToTry(own.map(({ rateRadPerS }) => rateRadPerS));
  const turns = angles.flatMap((targetRad) =>
    (['left', 'right'] as const).flatMap((direction) =>
      rates.map((rateRadPerS): PlannedTurn => {
        const sign = direction === 'left' ? 1 : -1;
        const done = own.filter(
          (trial) =>
            isAlike(sign * trial.targetRad, targetRad) && isAlike(trial.rateRadPerS, rateRadPerS),
        ).length;
        return { targetRad, direction, rateRadPerS, done };
      }),
    ),
  );
  const doneAt = (rate: number) =>
    turns.reduce((sum, turn) => sum + (turn.rateRadPerS === rate ? turn.done : 0), 0);
  const [usual = 0] = rates.toSorted((a, b) => doneAt(b) - doneAt(a));
  const few = turns.filter(({ rateRadPerS }) => rateRadPerS === usual);
  const first = planned(few, [usual], Math.max(1, FIRST / few.length), true);
  return first.done < first.wanted ? first : planned(turns, rates, EACH, false);
}
