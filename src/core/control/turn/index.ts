import { wrap } from '../../geometry/angle';
import { controller, type Controller, type Readings, type Tick } from '../controller';
import { SETTLE_S, timeoutS as timeoutFor } from '../settings';
import type { TurnStrategy } from './schema';
import type { KeptInTurn } from './way';
import { wayOf } from './ways';

export interface Turn {
  /** Signed, left positive. */
  angleRad: number;
  how: TurnStrategy;
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
export const expectedTurnS = (how: TurnStrategy, angleRad: number): number =>
  wayOf(how).expectedS(how, angleRad) + SPEEDING_UP_S + SETTLE_S;

/** The time-out of a turn for which none is set. */
export const turnTimeoutS = (how: TurnStrategy, angleRad: number): number =>
  timeoutFor(expectedTurnS(how, angleRad));

interface State extends Turn, KeptInTurn {
  trackM: number;
  begun: { timeS: number; gyroRad: number; encoderRad: number; targetRad: number } | null;
}

const turnedBy = (now: Readings, trackM: number) => (now.rightM - now.leftM) / trackM;

const tick: Tick<State> = (state, now, wheels) => {
  const { angleRad, how, fromReadingRad, trackM } = state;
  const reading = now.headingRad;
  if (state.begun === null) {
    const leftOver = fromReadingRad === null ? 0 : wrap(fromReadingRad - reading);
    const targetRad = angleRad + leftOver;
    if (angleRad === 0 || targetRad === 0) return 'done';
    const encoderRad = turnedBy(now, trackM);
    state.begun = { timeS: now.timeS, gyroRad: reading, encoderRad, targetRad };
  }
  const { begun } = state;
  const timeS = now.timeS - begun.timeS;
  const gyroRad = reading - begun.gyroRad;
  const encoderRad = turnedBy(now, trackM) - begun.encoderRad;
  const rateRadPerS = wayOf(how).rate(how, begun.targetRad, state, timeS, gyroRad, encoderRad);
  if (rateRadPerS === null) return 'done';
  if (timeS > state.timeoutS) return 'time';
  // On the spot both share the turn; about the inner wheel the outer one has all of it, forwards.
  const outer = rateRadPerS > 0 ? 1 : 0;
  const rightM = rateRadPerS * trackM * (state.pivots === true ? outer : 0.5);
  wheels.leftMPerS = rightM - rateRadPerS * trackM;
  wheels.rightMPerS = rightM;
  return 'go on';
};

/** Turn by one of four ways, on the spot or about the inner wheel; the track is that of the record, as a program has it. */
export const turn = (
  { angleRad, how, fromReadingRad, timeoutS, pivots = false }: Turn,
  trackM: number,
): Controller =>
  controller<State>(tick, {
    angleRad,
    how,
    fromReadingRad,
    timeoutS,
    pivots,
    trackM,
    begun: null,
    integralRadPerS: 0,
    before: null,
    settledSinceS: null,
  });
