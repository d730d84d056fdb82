import { z } from 'zod';
import { finite, notNegative } from './fields';

const turnGroup = z.strictObject({
  direction: z.enum(['left', 'right', 'both']),
  rateRadPerS: z.number().positive().nullable(),
  rates: z.array(z.number().positive()).min(1),
  kind: z.enum(['spin', 'pivot']),
  constantRad: finite,
  scaleError: z.number().gt(-0.9),
  /** Of single turns, what rounding adds taken out. */
  residualSdRad: notNegative.nullable(),
  /** Standard error of the mean turn; calibrations by an earlier method do not say. */
  meanSeRad: notNegative.optional(),
  n: z.number().int().positive(),
});

/** How far turns go too far. */
export const turnsValue = z.strictObject({
  kind: z.literal('turns'),
  groups: z.array(turnGroup).min(1),
  lagS: notNegative.nullable(),
  brakingRadPerS2: z.number().positive().nullable(),
  /** The heading sensor's own scale, reading = (1 + scaleError) · truly turned; left out: by an earlier method. */
  gyroScale: z
    .strictObject({
      scaleError: z.number().gt(-0.5).lt(0.5),
      se: notNegative,
      by: z.enum(['readings', 'trials']),
      upToRateRadPerS: z.number().positive().nullable(),
    })
    .nullable()
    .optional(),
});

export type TurnsCalibration = z.output<typeof turnsValue>;
