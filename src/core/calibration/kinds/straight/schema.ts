import { z } from 'zod';
import { notNegative } from '../fields';

/** How far straight drives truly go: actual = scaleFactor · told + coast. */
export const straightValue = z.object({
  kind: z.literal('straight'),
  scaleFactor: z.number().min(0.2).max(5),
  scaleFactorSe: notNegative,
  coastM: z.number().min(-1).max(1),
  /** Scatter of single drives. */
  residualSdM: notNegative,
});

export type StraightCalibration = z.output<typeof straightValue>;
