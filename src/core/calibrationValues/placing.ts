import { z } from 'zod';
import { PLACING_WAYS } from './placingWays';
import { notNegative } from './fields';

const offM = z.number().min(-1).max(1);

/** How exactly one person places the robot, in one way. */
export const placingValue = z.strictObject({
  kind: z.literal('placing'),
  person: z.string().max(40),
  way: z.enum(PLACING_WAYS),
  n: z.number().int().min(2),
  /** Standard deviations of single placings, along and across the start heading. */
  alongSdM: notNegative.max(0.5),
  acrossSdM: notNegative.max(0.5),
  headingSdRad: notNegative.max(1),
  /** How far off the plan it stands on average, in the frame of the start; null: where it should stand was not told. */
  aim: z
    .strictObject({
      alongM: offM,
      acrossM: offM,
      headingRad: offM,
      alongSeM: notNegative.max(1),
      acrossSeM: notNegative.max(1),
      headingSeRad: notNegative.max(1),
    })
    .nullable(),
});

export type PlacingCalibration = z.output<typeof placingValue>;
