import { z } from 'zod';
import { notNegative } from './fields';

/** How it drives on after its distance sensor read a threshold: speed · lag + speed² / (2 · braking). */
export const stopValue = z.strictObject({
  kind: z.literal('stop'),
  lagS: notNegative.max(5),
  /** Null where the speeds that were tried show no braking. */
  brakingMPerS2: z.number().positive().max(1000).nullable(),
  /** Scatter of single stops, from so many. */
  residualSdM: notNegative.max(1),
  /** Standard error of the mean way over the speed; left out: by an earlier method. */
  lateSeS: notNegative.optional(),
  n: z.number().int().positive(),
  slowestMPerS: z.number().positive().max(10),
  fastestMPerS: z.number().positive().max(10),
});

export type StopCalibration = z.output<typeof stopValue>;
