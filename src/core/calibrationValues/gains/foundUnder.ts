import { z } from 'zod';

const positive = z.number().positive();

/** What a tuned gain was found good with; with something else it may not be. Null: nobody said, or it has none. */
export const foundUnder = {
  /** By how many looks or traces it was found good. */
  looks: z.number().int().positive(),
  /** Of the drive, m/s, or of the turn, rad/s. */
  speed: positive.max(100).nullable().default(null),
  /** The slowest and the fastest at which the simulator finds it good, too. */
  slowest: positive.max(100).nullable().default(null),
  fastest: positive.max(100).nullable().default(null),
  /** How far ahead of the axle the sensor sits by which it follows something. */
  aheadM: z.number().min(-1).max(1).nullable().default(null),
  /** How late sensor, loop and motors are together. */
  delayS: z.number().nonnegative().max(5).nullable().default(null),
  /** Correction for each unit a second of the error's change, SI. */
  damping: z.number().nonnegative().max(1e4).nullable().default(null),
  /** Correction for each unit of error that stays for a second, SI. */
  integral: z.number().nonnegative().max(1e4).nullable().default(null),
};

export type FoundUnder = z.output<z.ZodObject<typeof foundUnder>>;
