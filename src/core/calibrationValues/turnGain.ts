import { z } from 'zod';
import { foundUnder } from './foundUnder';

/** The gain of turns by a rate in proportion to the angle left: rad/s for each rad. */
export const turnGainValue = z.strictObject({
  kind: z.literal('turn-gain'),
  gainPerS: z.number().min(-1e4).max(1e4),
  ...foundUnder,
});

export type TurnGainCalibration = z.output<typeof turnGainValue>;
