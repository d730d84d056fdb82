import { z } from 'zod';
import { foundUnder } from './foundUnder';
import { MOST_GAIN } from './mostGain';

/** The gain of drives that the encoders keep straight: m/s between the wheels for each m between their ways. */
export const balanceGainValue = z.strictObject({
  kind: z.literal('balance-gain'),
  gainPerS: z.number().min(-MOST_GAIN.balance).max(MOST_GAIN.balance),
  ...foundUnder,
});

export type BalanceGainCalibration = z.output<typeof balanceGainValue>;
