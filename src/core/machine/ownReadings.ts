import type { ReadingOf } from '../devices/channel';

/* What a program knows of the robot without asking a unit. */

/** What tells a program that its wheels are held: they turn less than they are told. */
export const WHEELS_HELD: ReadingOf = { unitId: 'wheels', channel: 'held' };
/** Volts of the battery. */
export const BATTERY_VOLTS: ReadingOf = { unitId: 'battery', channel: 'volts' };
/** Held for so long, a program is sure of it. */
export const HELD_S = 0.1;
/** The border takes so much of the way that it drives when it holds the robot. */
export const HELD_SHARE = 0.8;
