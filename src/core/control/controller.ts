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
 * A motion. Once every period of the program's loop it is given what can be read, sets the wheels' speeds,
 * and says whether it goes on; it keeps its own state, and is used once.
 */
export type Controller = (now: Readings, wheels: WheelSpeeds) => Said;

/** Mean roll of both wheels. */
export const travelledM = (now: Readings): number => (now.leftM + now.rightM) / 2;

export function halt(wheels: WheelSpeeds): void {
  wheels.leftMPerS = 0;
  wheels.rightMPerS = 0;
}
