import type { Robot } from '../../robot/robot';
import type { Bend } from './bend';
import { followBend, looksAtEdge } from './followBend';

/** Between these speeds are tried, each so much faster than the one before. */
const SLOWEST_M_PER_S = 0.03;
const FASTEST_M_PER_S = 1;
const STEP = 1.12;
/** From this share on of what the light allows at most: slower, the edge is not lost for want of turning. */
const FROM_SHARE = 0.6;
/** Each speed with so many kinds of chance; all of them have to hold, both ways round. */
const SEEDS = [3, 4, 5];

export type BendSize = Omit<Bend, 'turns'>;

/**
 * The fastest that a gain turns a robot round a bend: all of the way between the target and bare floor or line is used up.
 *
 * Turning by gain · (reading − target), at most gain · half the span; round a bend of radius r it turns by speed / r.
 * Source: proportional control's steady error, Åström and Murray, Feedback Systems, 2nd ed., 2021, section 11.1.
 */
export function mostByLightMPerS(robot: Robot, radiusM: number, gainRadPerS: number): number {
  const span = looksAtEdge(robot)?.span ?? 0;
  return (gainRadPerS * span * radiusM) / 2;
}

/** The gain that such a bend needs at a speed: so much is left of the light that noise and swings have room. */
const ROOM = 1.5;
export function neededGainRadPerS(robot: Robot, radiusM: number, speedMPerS: number): number {
  const perGain = mostByLightMPerS(robot, radiusM, 1);
  return perGain === 0 ? Infinity : (ROOM * speedMPerS) / perGain;
}

/** Both ways round. */
export const bothWays = (size: BendSize): Bend[] => [
  { ...size, turns: 'left' },
  { ...size, turns: 'right' },
];

export interface FastestRound {
  /** Null: not even the slowest that was tried holds. */
  speedMPerS: number | null;
  /** The first that did not hold; null: all that were tried did. */
  lostAtMPerS: number | null;
}

/** The highest speed at which a robot follows an edge round a bend on the simulator, either way. */
export function fastestRound(robot: Robot, size: BendSize, gainRadPerS: number): FastestRound {
  const allowed = mostByLightMPerS(robot, size.radiusM, gainRadPerS);
  const from = Math.max(SLOWEST_M_PER_S, FROM_SHARE * allowed);
  const holds = (speedMPerS: number) =>
    bothWays(size).every((bend) =>
      SEEDS.every(
        (seed) => followBend(robot, { bend, speedMPerS, gainRadPerS }, seed)?.held === true,
      ),
    );
  let slower = Math.min(from, FASTEST_M_PER_S);
  // A strong gain swings on long before the light is used up: then it is sought downwards.
  while (!holds(slower)) {
    if (slower < SLOWEST_M_PER_S) return { speedMPerS: null, lostAtMPerS: slower };
    slower /= STEP;
  }
  for (let faster = slower * STEP; faster <= FASTEST_M_PER_S; faster *= STEP) {
    if (!holds(faster)) return { speedMPerS: slower, lostAtMPerS: faster };
    slower = faster;
  }
  return { speedMPerS: slower, lostAtMPerS: null };
}
