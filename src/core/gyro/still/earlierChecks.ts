import type { RandomWalk } from '../randomWalk';
import type { StillCheck } from './stillCheck';
import type { WarmUp } from './warmUp';

/** What an earlier still check of the same unit (or of one like it) showed of the sensor itself. */
export type EarlierCheck = Pick<StillCheck, 'kind' | 'quantum' | 'ownWalk' | 'wanderRadPerS'> &
  Partial<Pick<StillCheck, 'sincePowerUpS' | 'cleanS' | 'driftRadPerS' | 'low95' | 'high95'>> & {
    warmUp?: Pick<WarmUp, 'changing' | 'hinted'> | null | undefined;
  };

/** A check with when and of which unit it was made. */
interface MadeCheck {
  id: string;
  unitId: string | null;
  takenAt: string;
  setAsideReason: string | null;
  result: EarlierCheck;
}

/** So many of the latest count. */
export const LATEST_CHECKS = 5;

/** What the latest checks of the same unit showed, before a moment; nothing where the unit is not known. */
export const earlierOf = (
  checks: readonly MadeCheck[],
  now: Pick<MadeCheck, 'id' | 'unitId' | 'takenAt'>,
): EarlierCheck[] =>
  checks
    .filter(
      ({ id, unitId, takenAt, setAsideReason }) =>
        now.unitId !== null &&
        unitId === now.unitId &&
        id !== now.id &&
        setAsideReason === null &&
        takenAt < now.takenAt,
    )
    .toSorted((a, b) => (a.takenAt < b.takenAt ? 1 : -1))
    .slice(0, LATEST_CHECKS)
    .map(({ result }) => result);

/** What is known of a sensor before a log is looked at. */
export interface KnownSensor {
  /** Step of its readings; null: not known. */
  quantum: number | null;
  /** Its walk, where earlier checks showed more than a bound. */
  walk: RandomWalk | null;
  /** Variance of its drift's own change, (rad/s)²; null before three checks. */
  wanderVariance: number | null;
  /** How many checks tell that. */
  checks: number;
}

/** From so many checks on, what none of them showed is not suspected any more. */
const CHECKS_FOR_WANDER = 3;

/** What earlier checks tell of a sensor that is read in the same way now. */
export function knownFrom(
  earlier: readonly EarlierCheck[],
  kind: EarlierCheck['kind'],
): KnownSensor {
  const alike = earlier.filter((check) => check.kind === kind);
  const steps = alike.map(({ quantum }) => quantum).filter((quantum) => quantum > 0);
  const wander = alike.reduce((sum, check) => sum + check.wanderRadPerS ** 2, 0) / alike.length;
  return {
    checks: alike.length,
    quantum: steps.length === 0 ? null : Math.min(...steps),
    walk: alike.reduce<RandomWalk | null>(
      (known, { ownWalk }) => (ownWalk === undefined ? known : withKnown(ownWalk, known)),
      null,
    ),
    wanderVariance: alike.length < CHECKS_FOR_WANDER ? null : wander,
  };
}

/** A walk with what was known of it before: pooled by degrees of freedom; a bound gives way. */
export function withKnown(walk: RandomWalk, known: RandomWalk | null): RandomWalk {
  if (known === null) return walk;
  if (walk.degreesOfFreedom === Infinity) return known;
  const degreesOfFreedom = walk.degreesOfFreedom + known.degreesOfFreedom;
  const square =
    walk.degreesOfFreedom * walk.radPerSqrtS ** 2 + known.degreesOfFreedom * known.radPerSqrtS ** 2;
  return { radPerSqrtS: Math.sqrt(square / degreesOfFreedom), degreesOfFreedom };
}
