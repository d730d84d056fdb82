import { z } from 'zod';
import type { Values } from '../description/description';
import { shapeOf, valuesSchema } from '../description/schema';
import { PROGRAM, TIMED_DRIVE, TOLD } from './description';
import { COMMANDS, STEERINGS, TRAVELS } from './programWays';

/** A timed drive at a percentage of power. */
const timedDrive = valuesSchema(TIMED_DRIVE);

/** How a robot's programs count, and how fast it drives at which power. Null: nobody has said. */
export const programSchema = z.strictObject({
  command: z.enum(COMMANDS).nullable().default(null),
  travel: z.enum(TRAVELS).nullable().default(null),
  steering: z.enum(STEERINGS).nullable().default(null),
  ...shapeOf(PROGRAM),
  speeds: z
    .array(timedDrive)
    .max(20, 'expected at most 20 timed drives')
    .default([])
    .describe('timed drives, each at one power'),
  ...shapeOf(TOLD),
});

export type ProgramProfile = z.output<typeof programSchema>;
export type TimedDrive = Values<typeof TIMED_DRIVE>;
