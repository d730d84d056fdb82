import { wrap } from '../../geometry/angle';
import { controller, type Controller, type Readings, type Tick } from '../controller';
import { SETTLE_S, timeoutS as timeoutFor } from '../settings';
import type { TurnStrategy } from './schema';
import type { KeptInTurn } from './way';
import { wayOf } from './ways';

/** What stays where it is. */
export type TurnAbout = 'centre' | 'left-wheel' | 'right-wheel';

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
  /** About which point it turns: one of its wheels stands then, whichever way it turns. */
  about?: TurnAbout;
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

/** Which share of a turn the right wheel makes: on the spot half of it; about a wheel the other has all of it. */
function rightShare({ about, pivots }: State, rateRadPerS: number): number {
  if (about === 'left-wheel') return 1;
  if (about === 'right-wheel') return 0;
  if (pivots !== true) return 0.5;
  return rateRadPerS > 0 ? 1 : 0;
}

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
  const rightM = rateRadPerS * trackM * rightShare(state, rateRadPerS);
  wheels.leftMPerS = rightM - rateRadPerS * trackM;
  wheels.rightMPerS = rightM;
  return 'go on';
};

/** Turn by one of four ways, on the spot or about the inner wheel; the track is that of the record, as a program has it. */
export const turn = (
  { angleRad, how, fromReadingRad, timeoutS, pivots = false, about = 'centre' }: Turn,
  trackM: number,
): Controller =>
  controller<State>(tick, {
    angleRad,
    how,
    fromReadingRad,
    timeoutS,
    pivots,
    about,
    trackM,
    begun: null,
    integralRadPerS: 0,
    before: null,
    settledSinceS: null,
  });
