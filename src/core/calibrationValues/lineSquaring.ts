import { z } from 'zod';
import { finite, notNegative } from './fields';

/** How a robot squares up on a line by two light sensors. */
export const lineSquaringValue = z.strictObject({
  kind: z.literal('line-squaring'),
  speedMPerS: z.number().positive().max(5),
  /** Of a second pass; null: there is none. */
  secondMPerS: z.number().positive().max(5).nullable(),
  /** What the heading is off by afterwards on average, and by how much single ones scatter. */
  biasRad: finite.min(-2).max(2),
  biasSeRad: notNegative.max(2),
  headingSdRad: notNegative.max(1),
  n: z.number().int().min(2),
});

export type LineSquaringCalibration = z.output<typeof lineSquaringValue>;
