import { z } from 'zod';
import { WHITE } from '../colour/colour';
import { colourSchema } from '../colour/schema';
import { partSchema, shapeOf, valueSchema, valuesSchema } from '../description/schema';
import { LINE, MISSION, POSE, PRESENT, SEGMENT, TABLE, WINDOW } from './description';

export const poseSchema = valuesSchema(POSE);

const segmentSchema = z.strictObject(shapeOf(SEGMENT));

/** A mission: where the robot must stand to work it, how exactly, and what it is worth. */
export const missionSchema = z.strictObject({
  id: z.string().min(1).max(40),
  ...shapeOf(MISSION),
  pose: poseSchema,
  window: partSchema(WINDOW).describe('half sizes, along and across the mission’s heading'),
});

const present = { share: valueSchema(PRESENT.share).nullish() };
const wallSchema = segmentSchema.extend(present);
const fieldSchema = segmentSchema.extend({ colour: colourSchema, ...present });

/** A table with its border, walls that stand on it, what is drawn on it, and its missions. */
export const tableSchema = z.strictObject({
  ...shapeOf(TABLE),
  walls: z.array(wallSchema).max(100).default([]),
  lines: z
    .array(segmentSchema.extend(shapeOf(LINE)))
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
