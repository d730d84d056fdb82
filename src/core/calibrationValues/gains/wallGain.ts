import { z } from 'zod';
import { foundUnder } from './foundUnder';
import { MOST_GAIN } from './mostGain';

/** The gain of following a wall: rad/s for each m off the distance to keep. */
export const wallGainValue = z.strictObject({
  kind: z.literal('wall-gain'),
  gainRadPerSPerM: z.number().min(-MOST_GAIN.wall).max(MOST_GAIN.wall),
  ...foundUnder,
});

export type WallGainCalibration = z.output<typeof wallGainValue>;
