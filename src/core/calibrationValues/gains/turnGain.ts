import { z } from 'zod';
import { foundUnder } from './foundUnder';
import { MOST_GAIN } from './mostGain';

/** The gain of turns by a rate in proportion to the angle left: rad/s for each rad. */
export const turnGainValue = z.strictObject({
  kind: z.literal('turn-gain'),
  gainPerS: z.number().min(-MOST_GAIN.turn).max(MOST_GAIN.turn),
  ...foundUnder,
});

export type TurnGainCalibration = z.output<typeof turnGainValue>;
