import { isSameRate } from '../calibrationValues/sameRate';
import type { FoundTurn } from './turnsInLog';
import type { TurnTrial } from './trial';

/** What is known besides the log: what the program was told. */
export interface TurnsCommanded {
  /** Angles that the program may have been told, magnitudes. */
  targetsRad: readonly number[];
  /** Rates that it may have been told. */
  ratesRadPerS: readonly number[];
  /** Where the log has no encoders. */
  kind: 'spin' | 'pivot';
  /** d(reading − truth)/dt; the log's heading has it, the truth has not. */
  driftRadPerS: number;
}

/** A turn that misses what it was told by more was told something else. */
const FARTHEST = 0.25;
const RATE_STEP = Math.PI / 36;

const nearest = (values: readonly number[], wanted: number): number | undefined =>
  values.toSorted((a, b) => Math.abs(a - wanted) - Math.abs(b - wanted))[0];

/**
 * Trials from the turns of a robot's log: each was told the nearest of the angles and rates that the
 * program may have been told; the known drift is taken out of what the heading read.
 *
 * @returns the trials, and how many turns were none: arcs, and those near no angle that was told
 */
export function trialsFromLog(
  turns: readonly FoundTurn[],
  { targetsRad, ratesRadPerS, kind, driftRadPerS }: TurnsCommanded,
): { trials: (TurnTrial & { durationS: number })[]; others: number } {
  const trials = turns.flatMap((turn) => {
    const size = Math.abs(turn.turnedRad);
    const target = nearest(targetsRad, size);
    if (turn.kind === 'arc' || target === undefined) return [];
    if (Math.abs(size - target) > FARTHEST * target) return [];
    const told = nearest(ratesRadPerS, turn.rateRadPerS);
    const isTold = told !== undefined && isSameRate(told, turn.rateRadPerS);
    return [
      {
        targetRad: Math.sign(turn.turnedRad) * target,
        actualRad: turn.turnedRad - driftRadPerS * turn.durationS,
        rateRadPerS: isTold
          ? told
          : Math.max(RATE_STEP, RATE_STEP * Math.round(turn.rateRadPerS / RATE_STEP)),
        kind: turn.kind ?? kind,
        durationS: turn.durationS,
      },
    ];
  });
  return { trials, others: turns.length - trials.length };
}
