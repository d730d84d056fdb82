import { randomStream, type RandomStream } from '../stats/random';
import { motionFrom, placeAt } from './place';
import {
  drivesItself,
  epochAt,
  KEPT_EVENTS,
  keptMotions,
  type Epoch,
  type Motion,
  type StandIn,
} from './state';
import type { StandInTruth } from './truth';

/** What is decided by chance now: each decision has a stream of its own. */
export const decide = (state: StandIn): RandomStream =>
  randomStream(state.seed, state.decisions + 1, 'stand-in-decisions');

/** Used up faster while a program runs. */
const PROGRAM_LOAD = 8;

/** The stand-in, moved from now on. */
export const withMotion = (
  state: StandIn,
  truth: StandInTruth,
  nowS: number,
  what: Motion['what'],
): StandIn => {
  const motion = motionFrom(truth.robot, placeAt(truth.robot, state, nowS), nowS, what);
  const durationS = motion.toS - motion.fromS;
  return {
    ...state,
    motions: keptMotions([...state.motions, motion]),
    usedS: state.usedS + (drivesItself(what) ? PROGRAM_LOAD * durationS : 0),
    decisions: state.decisions + 1,
  };
};

/** The stand-in, whose heading sensor behaves otherwise from now on. */
export const withEpoch = (state: StandIn, nowS: number, change: Partial<Epoch>): StandIn => ({
  ...state,
  epochs: [...state.epochs, { ...epochAt(state, nowS), ...change, fromS: nowS }].slice(
    -KEPT_EVENTS,
  ),
  decisions: state.decisions + 1,
});
