import { z } from 'zod';
import { DECIMAL_SIGNS, LENGTH_NAMES, TURN_SIDES } from '../core/text/displaySettings';
import { isZone } from '../core/text/dates';

/** How a team wants things to be said. */
export const teamSettings = z.object({
  timeZone: z
    .string()
    .max(60)
    .refine(isZone, 'expected the name of a time zone, such as UTC')
    .default('UTC')
    .describe('all days and clock times are shown in it'),
  length: z
    .enum(LENGTH_NAMES)
    .default('cm')
    .describe('cm with mm for the errors of runs; or mm, or inches, throughout'),
  positiveTurn: z.enum(TURN_SIDES).default('left').describe('the turn that counts as positive'),
  decimalSign: z.enum(DECIMAL_SIGNS).default('.').describe('between whole and parts of a number'),
  names: z
    .array(z.string().trim().min(1, 'expected a name').max(40, 'expected at most 40 characters'))
    .max(30, 'expected at most 30 names')
    .default([])
    .describe('nicknames of those at the table'),
});
