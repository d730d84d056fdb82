import { wrap } from '../../geometry/angle';
import type { Controller, Readings } from '../controller';
import { SETTLE_S, timeoutS as timeoutFor } from '../settings';
import type { TurnSchool } from './schema';
import type { TurnWay } from './way';
import { turnWay } from './ways';

export interface Turn {
  /** Signed, left positive. */
  angleRad: number;
  how: TurnSchool;
  /**
   * The heading reading at which the turn was planned to begin: what earlier turns left over is taken out
   * with this one. Null: it turns by the angle from wherever it stands.
   */
  fromReadingRad: number | null;
  timeoutS: number;
  /** About the inner wheel, which stands; on the spot where it is left out. */
  pivots?: boolean;
}

/** Time in which the motors come up to their speed, s. */
const SPEEDING_UP_S = 0.1;

/** How long a turn should take, its rest included. */
export const expectedTurnS = (how: TurnSchool, angleRad: number): number =>
  turnWay(how, angleRad).expectedS + SPEEDING_UP_S + SETTLE_S;

/** The time-out of a turn for which none is set. */
export const turnTimeoutS = (how: TurnSchool, angleRad: number): number =>
  timeoutFor(expectedTurnS(how, angleRad));

/** Turn by one of four ways, on the spot or about the inner wheel; the track is that of the record, as a program has it. */
export function turn(
  { angleRad, how, fromReadingRad, timeoutS, pivots = false }: Turn,
  trackM: number,
): Controller {
  const turned = (now: Readings) => (now.rightM - now.leftM) / trackM;
  let begun: { timeS: number; gyroRad: number; encoderRad: number; way: TurnWay } | null = null;
  return (now, wheels) => {
    const reading = now.headingRad;
    if (begun === null) {
      const leftOver = fromReadingRad === null ? 0 : wrap(fromReadingRad - reading);
      const targetRad = angleRad + leftOver;
      if (angleRad === 0 || targetRad === 0) return 'done';
      const way = turnWay(how, targetRad);
      begun = { timeS: now.timeS, gyroRad: reading, encoderRad: turned(now), way };
    }
    const timeS = now.timeS - begun.timeS;
    const rateRadPerS = begun.way.rate(
      timeS,
      reading - begun.gyroRad,
      turned(now) - begun.encoderRad,
    );
    if (rateRadPerS === null) return 'done';
    if (timeS > timeoutS) return 'time';
    // On the spot both share the turn; about the inner wheel the outer one has all of it, forwards.
    const rightM = rateRadPerS * trackM * (pivots ? (rateRadPerS > 0 ? 1 : 0) : 0.5);
    wheels.leftMPerS = rightM - rateRadPerS * trackM;
    wheels.rightMPerS = rightM;
    return 'go on';
  };
}
