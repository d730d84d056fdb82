import { z } from 'zod';
import { stepId } from '../fields';

/** A mission is worked here: the robot stands for a while. */
export const markSchema = z.object({
  id: stepId,
  kind: z.literal('mark'),
  missionId: z.string().min(1).max(40),
  dwellS: z.number().min(0).max(60).default(1),
});

export type MarkStep = z.output<typeof markSchema>;
