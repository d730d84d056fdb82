import { z } from 'zod';
import type { Values } from '../description/description';
import { shapeOf, valuesSchema } from '../description/schema';
import { PROGRAM, TIMED_DRIVE, TOLD } from './description';

/** How programs say how fast the motors turn. */
export const COMMANDS = [
  'percent',
  'power of -1 to 1',
  'degrees per second',
  'rotations per second',
  'mm per second',
] as const;
/** How programs say how far the robot drives. */
export const TRAVELS = ['motor degrees', 'rotations', 'mm', 'cm', 'inches'] as const;
/** What a steering of −100 to 100 does to the wheels. */
export const STEERINGS = ['one wheel slows', 'one faster, one slower'] as const;

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
export type Command = (typeof COMMANDS)[number];
export type Travel = (typeof TRAVELS)[number];
export type Steering = (typeof STEERINGS)[number];
