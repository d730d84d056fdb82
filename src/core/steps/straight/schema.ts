import { z } from 'zod';
import { gain, speed, stepId } from '../fields';

/** Drive by the encoders; the heading is held by the gyro: wheel difference = gain · heading error. */
export const straightSchema = z.object({
  id: stepId,
  kind: z.literal('straight'),
  distanceM: z.number().min(-10).max(10).describe('negative drives backwards'),
  speedMPerS: speed.default(0.3),
  gainMPerSPerRad: gain.default(1.2).describe('right minus left wheel speed per heading error'),
});

export type StraightStep = z.output<typeof straightSchema>;
