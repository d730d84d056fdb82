import type { ReadingOf } from '../units/channel';

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
 * loop it is given what it was told before it began, what it keeps in mind from one tick to the next, and what can be
 * read; it sets the wheels' speeds, and says whether it goes on.
 */
export interface Law<Told extends object, Kept extends object> {
  /** What it keeps in mind before its first tick. */
  begin(): Kept;
  tick(told: Told, kept: Kept, now: Readings, wheels: WheelSpeeds): Said;
}

/** A motion under way: its law, what it was told and what it keeps. It is used once. */
export interface Controller {
  readonly told: object;
  readonly kept: object;
  tick(told: object, kept: object, now: Readings, wheels: WheelSpeeds): Said;
}

export const controller = <Told extends object, Kept extends object>(
  { begin, tick }: Law<Told, Kept>,
  told: Told,
): Controller => ({ told, kept: begin(), tick });

/** One tick of a motion. */
export const tick = (motion: Controller, now: Readings, wheels: WheelSpeeds): Said =>
  motion.tick(motion.told, motion.kept, now, wheels);

type Watcher = (now: Readings, wheels: WheelSpeeds) => void;

const WATCHED: Law<{ motion: Controller; each: Watcher }, object> = {
  begin: () => ({}),
  tick({ motion, each }, _kept, now, wheels) {
    const said = tick(motion, now, wheels);
    if (said === 'go on') each(now, wheels);
    return said;
  },
};

/** A motion that is watched, or meddled with, in each tick in which it goes on: no program, an experiment. */
export const watching = (motion: Controller, each: Watcher): Controller =>
  controller(WATCHED, { motion, each });

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
