import { z } from 'zod';
import { foundUnder } from './foundUnder';

/** The gain of drives that the encoders keep straight: m/s between the wheels for each m between their ways. */
export const balanceGainValue = z.strictObject({
  kind: z.literal('balance-gain'),
  gainPerS: z.number().min(-1e4).max(1e4),
  ...foundUnder,
});

export type BalanceGainCalibration = z.output<typeof balanceGainValue>;
