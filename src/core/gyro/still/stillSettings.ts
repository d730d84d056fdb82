import { z } from 'zod';
import { STILL_SETTINGS } from './stillDefaults';

/** What a coach may set about the still check, as it is kept and asked for; apart, for screens need no Zod. */
export const stillSettingsSchema = z.object({
  driftShare: z
    .number()
    .min(0.02)
    .max(1)
    .default(STILL_SETTINGS.driftShare)
    .describe('of the tolerance, that drift may use up in a run'),
  healthyRadPerS: z.number().positive().max(0.2).default(STILL_SETTINGS.healthyRadPerS),
});
