import { z } from 'zod';
import { notNegative } from './fields';

/** True sizes of the drive, as factors of those in the record. */
export const driveValue = z.strictObject({
  kind: z.literal('drive'),
  trackRatio: z.number().positive(),
  leftWheelFactor: z.number().positive(),
  rightWheelFactor: z.number().positive(),
  /** Standard errors of the track, and of right over left wheel; calibrations made before do not say. */
  trackRatioSe: notNegative.optional(),
  wheelRatioSe: notNegative.optional(),
});

export type DriveCalibration = z.output<typeof driveValue>;
