import { z } from 'zod';

/** Fields that many records share. `id` is made by the client; `version` is what a write was based on (0: new). */
export const id = z
  .string()
  .regex(/^[0-9A-HJKMNP-TV-Z]{26}$/, 'expected an identifier of 26 letters and digits (ULID)');
export const version = z.number().int().min(0).max(1_000_000_000);
export const name = z
  .string()
  .trim()
  .min(1, 'expected a name')
  .max(80, 'expected at most 80 characters');
export const note = z.string().trim().max(500, 'expected at most 500 characters');
export const shortText = z.string().trim().max(40, 'expected at most 40 characters');
/** An instant; however many decimals it is written with, it is the same to the millisecond. */
export const time = z.iso.datetime().transform((text) => new Date(text).toISOString());
