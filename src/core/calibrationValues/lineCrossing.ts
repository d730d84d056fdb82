import { z } from 'zod';
import { finite, notNegative } from './fields';

/** How a robot notices a line that it drives over, and how far past its edge it stands. */
export const lineCrossingValue = z.strictObject({
  kind: z.literal('line-crossing'),
  by: z.enum(['brightness', 'colour', 'ambient']),
  speedMPerS: z.number().positive().max(5),
  /** Later by this for each m/s, braking included; null: one speed alone was tried. */
  delayS: finite.min(-10).max(10).nullable(),
  /** Of so many passes so many went wrong. */
  passes: z.number().int().positive(),
  wrong: z.number().int().nonnegative(),
  overruns: z
    .array(
      z.strictObject({
        drives: z.enum(['forwards', 'backwards']),
        on: z.enum(['entering', 'leaving']),
        overM: finite.min(-1).max(1),
        overSeM: notNegative.max(1),
        sdM: notNegative.max(1),
        n: z.number().int().min(2),
      }),
    )
    .min(1)
    .max(4),
});

export type LineCrossingCalibration = z.output<typeof lineCrossingValue>;
