import { z } from 'zod';
import { foundUnder } from './foundUnder';

/** The gain with which drives hold their heading, as it was tuned on the robot. */
export const headingHoldValue = z.strictObject({
  kind: z.literal('heading-hold'),
  gainMPerSPerRad: z.number().positive().max(20),
  ...foundUnder,
});

export type HeadingHoldCalibration = z.output<typeof headingHoldValue>;
