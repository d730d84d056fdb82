import { z } from 'zod';

/** The gain with which drives hold their heading, as it was tuned on the robot. */
export const headingHoldValue = z.object({
  kind: z.literal('heading-hold'),
  gainMPerSPerRad: z.number().positive().max(20),
  /** By how many looks or traces it was found good. */
  looks: z.number().int().positive(),
});

export type HeadingHoldCalibration = z.output<typeof headingHoldValue>;
