import { wrap } from '../geometry/angle';
import type { ReadingOf } from '../devices/channel';
import { controller, type Controller, type Failure, type Readings, type Tick } from './controller';

/** Where a watched number comes from. */
export type WatchedSource =
  /** Null: the robot has no such unit. */
  | { from: 'unit'; of: ReadingOf | null; factor: number }
  /** The heading on the table: so much of a reading is a radian, and it is so much at a reading of 0. */
  | { from: 'heading'; perRad: number; atZeroRad: number }
  | { from: 'time' }
  /** The angle of a motor that drives. */
  | { from: 'wheel'; isLeft: boolean; radPerM: number };

/** A number that is watched, and what about it is waited for. */
export interface WatchedReading {
  source: WatchedSource;
  is: 'above' | 'below' | 'changed' | 'still';
  value: number;
  /** So many readings one after the other; one that is missing counts neither way. */
  confirmations: number;
  /** It has failed when it has not come true by then. */
  timeoutS: number;
}

/** What is waited for: a number that is watched, or all or any of several. */
export type Watched = WatchedReading | { every: boolean; of: Watched[] };

/** So long a reading has to stay where it is to be still. */
export const STILL_S = 0.25;

interface ReadingState extends WatchedReading {
  startS: number | null;
  /** The first reading, and from where and since when it has not moved. */
  first: number | null;
  stillAt: number | null;
  stillSinceS: number;
  passed: number;
}

type WatchState = ReadingState | { every: boolean; of: WatchState[] };

/** A watch that is about to begin. */
export const watchFor = (watched: Watched): WatchState =>
  'every' in watched
    ? { every: watched.every, of: watched.of.map(watchFor) }
    : { ...watched, startS: null, first: null, stillAt: null, stillSinceS: 0, passed: 0 };

function numberOf({ source }: ReadingState, now: Readings, startS: number): number | null {
  switch (source.from) {
    case 'unit': {
      const reading = source.of === null ? null : now.reading(source.of);
      return reading === null ? null : source.factor * reading;
    }
    case 'heading':
      return source.atZeroRad + now.headingRad / source.perRad;
    case 'time':
      return now.timeS - startS;
    case 'wheel':
      return (source.isLeft ? now.leftM : now.rightM) * source.radPerM;
  }
}

/** How far a number lies over a value; headings the short way round. */
const over = ({ source }: ReadingState, number: number, value: number): number =>
  source.from === 'heading' ? wrap(number - value) : number - value;

function isSo(state: ReadingState, number: number, timeS: number): boolean {
  const { is, value } = state;
  if (is === 'above') return over(state, number, value) >= 0;
  if (is === 'below') return over(state, number, value) <= 0;
  if (is === 'changed') return Math.abs(number - (state.first ?? number)) >= value;
  if (state.stillAt === null || Math.abs(number - state.stillAt) > value) {
    state.stillAt = number;
    state.stillSinceS = timeS;
  }
  return timeS - state.stillSinceS >= STILL_S;
}

function holdsOne(state: ReadingState, now: Readings): boolean | Exclude<Failure, 'wall'> {
  if (state.source.from === 'unit' && state.source.of === null) return 'no-sensor';
  state.startS ??= now.timeS;
  const number = numberOf(state, now, state.startS);
  if (number !== null) {
    state.first ??= number;
    state.passed = isSo(state, number, now.timeS) ? state.passed + 1 : 0;
  }
  if (state.passed >= state.confirmations) return true;
  return now.timeS - state.startS > state.timeoutS ? 'time' : false;
}

/** Whether it is so in this tick; or why it can never be. Each part is looked at in every tick. */
export function holds(state: WatchState, now: Readings): boolean | Exclude<Failure, 'wall'> {
  if (!('every' in state)) return holdsOne(state, now);
  const said = state.of.map((one) => holds(one, now));
  const failure = said.find((one) => typeof one === 'string');
  const isTrue = state.every ? said.every((one) => one === true) : said.includes(true);
  return isTrue ? true : (failure ?? false);
}

interface Ending {
  motion: Controller;
  watch: WatchState;
}

const tick: Tick<Ending> = ({ motion, watch }, now, wheels) => {
  const said = holds(watch, now);
  if (said === false) return motion.tick(motion.state, now, wheels);
  return said === true ? 'done' : said;
};

/** A motion that ends where it does by itself, or as soon as a condition holds. */
export const endingWhen = (motion: Controller, watched: Watched): Controller => ({
  ...controller<Ending>(tick, { motion, watch: watchFor(watched) }),
  restS: motion.restS,
});
