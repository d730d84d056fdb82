import type { ReadingOf } from '../devices/channel';

/** What a program reads in one tick: sensors and encoders, in Corvat's units and directions. */
export interface Readings {
  timeS: number;
  /** Counted on past a turn, counter-clockwise positive. */
  headingRad: number;
  /** Rolls of the wheels as the encoders count them. */
  leftM: number;
  rightM: number;
  /** Of one of its units, asked for only where it is used; null for nothing: a lost echo, nothing in range. */
  reading(of: ReadingOf): number | null;
}

/** Speeds of the wheels on the ground, forward positive. */
export interface WheelSpeeds {
  leftMPerS: number;
  rightMPerS: number;
}

/** Why a motion ended before it was done. */
export type Failure = 'time' | 'wall' | 'no-sensor';

/** What a controller says of this tick: go on at the speeds that it has set, done, or why not. */
export type Said = 'go on' | 'done' | Exclude<Failure, 'wall'>;

/**
 * How a kind of motion is made, as arithmetic that can be written in any language. Once every period of the program's
 * loop it is given its state (what it was told before it began, and what it keeps in mind from one tick to the next)
 * and what can be read; it sets the wheels' speeds, and says whether it goes on.
 */
export type Tick<State> = (state: State, now: Readings, wheels: WheelSpeeds) => Said;

/** A motion: its state, and what it does in one tick. It is used once. */
export interface Controller {
  readonly state: object;
  /** So long it stands still when it is done, before the next begins. */
  readonly restS: number;
  readonly tick: Tick<object>;
}

/**
 * A motion that is about to begin: it is given no state but that of its own kind. The state is written out: numbers
 * that were spread into it are made anew in every tick, which costs a third of a simulated second.
 */
export const controller = <State extends object>(tick: Tick<State>, state: State): Controller => ({
  state,
  restS: 0,
  tick: tick as Tick<object>,
});

type Watcher = (now: Readings, wheels: WheelSpeeds) => void;

function watched(
  { motion, each }: { motion: Controller; each: Watcher },
  now: Readings,
  wheels: WheelSpeeds,
): Said {
  const said = motion.tick(motion.state, now, wheels);
  if (said === 'go on') each(now, wheels);
  return said;
}

/** A motion that is watched, or meddled with, in each tick in which it goes on: no program, an experiment. */
export const watching = (motion: Controller, each: Watcher): Controller =>
  controller(watched, { motion, each });

/** When a motion began: at its first tick. */
export interface Begun {
  startS: number | null;
}

/** Mean roll of both wheels. */
export const travelledM = (now: Readings): number => (now.leftM + now.rightM) / 2;

export function halt(wheels: WheelSpeeds): void {
  wheels.leftMPerS = 0;
  wheels.rightMPerS = 0;
}
