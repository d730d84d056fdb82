import { z } from 'zod';
import { isZone } from '../core/text/dates';

/** How a team wants things to be said. */
export const teamSettings = z.object({
  timeZone: z
    .string()
    .max(60)
    .refine(isZone, 'expected the name of a time zone, such as UTC')
    .default('UTC')
    .describe('all days and clock times are shown in it'),
});
