import { z } from 'zod';
import { notNegative } from '../fields';

/** How a distance sensor reads: reading = offset + scaleFactor · true. */
export const rangeValue = z.object({
  kind: z.literal('range'),
  offsetM: z.number().min(-1).max(1),
  offsetSeM: notNegative,
  scaleFactor: z.number().min(0.2).max(5),
  scaleFactorSe: notNegative,
  noiseM: notNegative,
  /** Share of echoes that were lost, of those within its range. */
  lostRate: z.number().min(0).max(1),
  validFromM: notNegative,
  validToM: notNegative,
});

export type RangeCalibration = z.output<typeof rangeValue>;
