import { z } from 'zod';
import { WHITE } from '../colour/colour';
import { colourSchema } from '../colour/schema';

const coordinate = z.number().min(-20).max(20);
const heading = z.number().min(-100).max(100);

export const poseSchema = z.strictObject({ xM: coordinate, yM: coordinate, headingRad: heading });

const segmentSchema = z.strictObject({
  x1M: coordinate,
  y1M: coordinate,
  x2M: coordinate,
  y2M: coordinate,
});

/** A mission: where the robot must stand to work it, how exactly, and what it is worth. */
export const missionSchema = z.strictObject({
  id: z.string().min(1).max(40),
  name: z.string().trim().min(1, 'expected a name').max(60, 'expected at most 60 characters'),
  pose: poseSchema,
  window: z
    .strictObject({
      alongM: z.number().positive().max(1).default(0.02),
      acrossM: z.number().positive().max(1).default(0.02),
      headingRad: z.number().positive().max(3.2).default(0.0873),
    })
    .prefault({})
    .describe('half sizes, along and across the mission’s heading'),
  points: z.number().int('expected whole points').min(0).max(1000).default(0),
});

const fieldSchema = segmentSchema.extend({ colour: colourSchema });

/** A table with its border, walls that stand on it, what is drawn on it, and its missions. */
export const tableSchema = z.strictObject({
  widthM: z.number().min(0.2).max(20),
  heightM: z.number().min(0.2).max(20),
  walls: z.array(segmentSchema).max(100).default([]),
  lines: z
    .array(segmentSchema.extend({ widthM: z.number().positive().max(0.5).default(0.02) }))
    .max(100)
    .default([]),
  floorColour: colourSchema.default(WHITE),
  fields: z
    .array(fieldSchema)
    .max(100)
    .default([])
    .describe('areas of another colour, by two opposite corners; later ones lie on earlier ones'),
  missions: z
    .array(missionSchema)
    .max(15)
    .refine(
      (missions) => new Set(missions.map(({ id }) => id)).size === missions.length,
      'expected a different id for each mission',
    )
    .default([]),
});

export type Segment = z.output<typeof segmentSchema>;
export type Mission = z.output<typeof missionSchema>;
export type ColouredField = z.output<typeof fieldSchema>;
export type Table = z.output<typeof tableSchema>;
