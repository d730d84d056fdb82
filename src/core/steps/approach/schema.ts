import { z } from 'zod';
import { gain, speed, stepId } from '../fields';

/** Drive until the distance reading is at or below a threshold; fails at the time-out. */
export const approachSchema = z.object({
  id: stepId,
  kind: z.literal('approach'),
  thresholdM: z.number().min(0.005).max(5),
  speedMPerS: speed.default(0.15),
  gainMPerSPerRad: gain.default(1.2),
  timeoutS: z
    .number()
    .min(0.1)
    .max(150)
    .optional()
    .describe('default: from the planned gap and speed'),
});

export type ApproachStep = z.output<typeof approachSchema>;
