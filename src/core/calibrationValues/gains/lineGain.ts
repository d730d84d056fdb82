import { z } from 'zod';
import { foundUnder } from './foundUnder';
import { MOST_GAIN } from './mostGain';

/** The gain of following a line: rad/s for a share of light, of 1, off what is to be read. */
export const lineGainValue = z.strictObject({
  kind: z.literal('line-gain'),
  gainRadPerSPerShare: z.number().min(-MOST_GAIN.line).max(MOST_GAIN.line),
  ...foundUnder,
});

export type LineGainCalibration = z.output<typeof lineGainValue>;
