import { z } from 'zod';
import { foundUnder } from './foundUnder';
import { MOST_GAIN } from './mostGain';

/** The gain with which drives hold their heading, as it was tuned on the robot. */
export const headingHoldValue = z.strictObject({
  kind: z.literal('heading-hold'),
  gainMPerSPerRad: z.number().positive().max(MOST_GAIN['heading-hold']),
  ...foundUnder,
});

export type HeadingHoldCalibration = z.output<typeof headingHoldValue>;
