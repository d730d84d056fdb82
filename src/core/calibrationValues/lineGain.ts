import { z } from 'zod';
import { foundUnder } from './foundUnder';

/** The gain of following a line: rad/s for a share of light, of 1, off what is to be read. */
export const lineGainValue = z.strictObject({
  kind: z.literal('line-gain'),
  gainRadPerSPerShare: z.number().min(-1e4).max(1e4),
  ...foundUnder,
});

export type LineGainCalibration = z.output<typeof lineGainValue>;
