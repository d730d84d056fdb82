import { z } from 'zod';

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
/** In what programs count headings. */
export const ANGLES = ['degrees', 'radians'] as const;
/** What a steering of −100 to 100 does to the wheels. */
export const STEERINGS = ['one wheel slows', 'one faster, one slower'] as const;

const sign = z.union([z.literal(1), z.literal(-1)]);

/** A timed drive at a percentage of power. */
const timedDrive = z.strictObject({
  percent: z.number().gt(0).max(100),
  distanceM: z.number().positive().max(20),
  durationS: z.number().positive().max(120),
});

/** How a robot's programs count, and how fast it drives at which power. Null: nobody has said. */
export const programSchema = z.strictObject({
  command: z.enum(COMMANDS).nullable().default(null),
  travel: z.enum(TRAVELS).nullable().default(null),
  steering: z.enum(STEERINGS).nullable().default(null),
  regulated: z
    .boolean()
    .default(false)
    .describe('its kit holds the speed that a share of power stands for, whatever the battery'),
  angles: z.enum(ANGLES).default('degrees').describe('in which its programs count headings'),
  forwardSign: sign.default(1).describe('1: a positive command drives forward'),
  turnSign: sign.default(1).describe('1: a positive steering, or turning, goes to the right'),
  speeds: z
    .array(timedDrive)
    .max(20, 'expected at most 20 timed drives')
    .default([])
    .describe('timed drives, each at one power'),
  coastM: z
    .number()
    .min(-1)
    .max(1)
    .default(0)
    .describe('rolls on so far after the distance that a drive was told'),
  headingScale: z
    .number()
    .min(0.5)
    .max(2)
    .default(1)
    .describe(
      'every heading that is turned to or held is told times this: the heading sensor’s own scale',
    ),
});

export type ProgramProfile = z.output<typeof programSchema>;
export type TimedDrive = z.output<typeof timedDrive>;
export type Command = (typeof COMMANDS)[number];
export type Travel = (typeof TRAVELS)[number];
export type Steering = (typeof STEERINGS)[number];
