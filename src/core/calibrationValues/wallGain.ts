import { z } from 'zod';
import { foundUnder } from './foundUnder';

/** The gain of following a wall: rad/s for each m off the distance to keep. */
export const wallGainValue = z.strictObject({
  kind: z.literal('wall-gain'),
  gainRadPerSPerM: z.number().min(-1e4).max(1e4),
  ...foundUnder,
});

export type WallGainCalibration = z.output<typeof wallGainValue>;
