import { z } from 'zod';
import { notNegative } from './fields';

/** How a robot squares up on a wall, by presses with one or several powers. */
export const squaringValue = z.strictObject({
  kind: z.literal('squaring'),
  /** What to press with, as a share of full power, and how fast that drives. */
  power: z.number().gt(0).max(1),
  speedMPerS: z.number().positive().max(5),
  pressS: z.number().positive().max(20),
  /** At that power e⁻¹ of a heading error is left after so long. */
  timeConstantS: z.number().positive().max(1000),
  /** Scatter of the heading afterwards, however long it presses, from so many presses. */
  headingSdRad: notNegative.max(1),
  n: z.number().int().positive(),
});

export type SquaringCalibration = z.output<typeof squaringValue>;
