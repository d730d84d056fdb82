import { z } from 'zod';

/** What a coach may set about the still check, as it is kept and asked for; apart, for screens need no Zod. */
export const stillSettingsSchema = z.object({
  steadyShare: z.number().min(0.02).max(1).describe('of the tolerance, in a run'),
  healthyRadPerS: z.number().positive().max(0.2),
});
