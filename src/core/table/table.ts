import { z } from 'zod';
import { WHITE } from '../colour/colour';
import { colourSchema } from '../colour/schema';
import { partSchema, shapeOf, valueSchema, valuesSchema } from '../description/schema';
import {
  BEND,
  LINE,
  MISSION,
  OBSTACLE,
  PART,
  POSE,
  PRESENT,
  SEGMENT,
  TABLE,
  WINDOW,
} from './description';
import { faultOfRow, MOST_COLOURS } from './mat';

export const poseSchema = valuesSchema(POSE);

const segmentSchema = z.strictObject(shapeOf(SEGMENT));

const different = (names: readonly string[]) => new Set(names).size === names.length;

/** A part of a mission, which is scored by itself. */
const partOfMission = z.strictObject({
  ...shapeOf(PART),
  pose: poseSchema.optional().describe('left out: where the mission is worked'),
  window: partSchema(WINDOW).optional().describe('left out: that of the mission'),
});

/** A mission: where the robot must stand to work it, how exactly, and what it is worth. */
export const missionSchema = z.strictObject({
  id: z.string().min(1).max(40),
  ...shapeOf(MISSION),
  pose: poseSchema,
  window: partSchema(WINDOW).describe('half sizes, along and across the mission’s heading'),
  parts: z
    .array(partOfMission)
    .max(10)
    .refine(
      (parts) => different(parts.map(({ name }) => name)),
      'expected a different name for each part',
    )
    .default([])
    .describe('scored each by itself'),
  after: z
    .array(z.string().min(1).max(40))
    .max(15)
    .default([])
    .describe('ids of the missions that must have been worked before, else it does not count'),
});

const missionId = z.string().min(1).max(40);
const present = {
  share: valueSchema(PRESENT.share).nullish(),
  goneAfter: missionId.nullish().describe('id of the mission by which the robot takes it away'),
  thereAfter: missionId.nullish().describe('id of the mission by which the robot leaves it there'),
};
const wallSchema = segmentSchema.extend({
  ...present,
  heightM: valueSchema(OBSTACLE.heightM).optional().describe('left out: no sensor looks over it'),
});
const lineSchema = segmentSchema.extend({
  ...shapeOf(LINE),
  bendRad: valueSchema(BEND.bendRad).nullish(),
  colour: colourSchema.optional().describe('left out: black'),
});
const obstacleSchema = segmentSchema.extend({ ...shapeOf(OBSTACLE), ...present });
const fieldSchema = segmentSchema.extend({ colour: colourSchema, ...present });

/** Cells of no more than this to a side, in rows of no more letters than that in all. */
const MOST_CELLS = 1000;
const MOST_LETTERS = 150_000;

const matSchema = segmentSchema
  .extend({
    columns: z.int().min(1).max(MOST_CELLS),
    colours: z.array(colourSchema).min(1).max(MOST_COLOURS).describe('called a, b, c and so on'),
    rows: z
      .array(z.string())
      .min(1)
      .max(MOST_CELLS)
      .describe('from the far edge to the near one, each as so many cells of a colour: "12a3b"'),
  })
  .superRefine(({ columns, colours, rows, x1M, x2M, y1M, y2M }, context) => {
    if (x1M === x2M || y1M === y2M) context.addIssue('expected two opposite corners of an area');
    if (rows.reduce((sum, { length }) => sum + length, 0) > MOST_LETTERS) {
      context.addIssue(`expected at most ${MOST_LETTERS} letters in all rows together`);
      return;
    }
    rows.forEach((row, at) => {
      const fault = faultOfRow(row, columns, colours.length);
      if (fault !== null) context.addIssue({ code: 'custom', path: ['rows', at], message: fault });
    });
  });

/** A table with its border, walls that stand on it, what is drawn on it, and its missions. */
export const tableSchema = z.strictObject({
  ...shapeOf(TABLE),
  walls: z.array(wallSchema).max(100).default([]),
  lines: z.array(lineSchema).max(100).default([]).describe('drawn on the floor, by their two ends'),
  floorColour: colourSchema.default(WHITE),
  mat: matSchema
    .nullish()
    .describe('what is printed on the floor, as sensors see it; under the fields and the lines'),
  fields: z
    .array(fieldSchema)
    .max(100)
    .default([])
    .describe('areas of another colour, by two opposite corners; later ones lie on earlier ones'),
  obstacles: z
    .array(obstacleSchema)
    .max(50)
    .default([])
    .describe('what stands on an area, by two opposite corners: robots run into it'),
  homeAreas: z
    .array(segmentSchema)
    .max(10)
    .default([])
    .describe('in which robots start, by two opposite corners'),
  missions: z
    .array(missionSchema)
    .max(15)
    .refine(
      (missions) => different(missions.map(({ id }) => id)),
      'expected a different id for each mission',
    )
    .default([]),
});

export type Segment = z.output<typeof segmentSchema>;
export type Mission = z.output<typeof missionSchema>;
export type MissionPart = Mission['parts'][number];
export type Line = z.output<typeof lineSchema>;
export type Obstacle = z.output<typeof obstacleSchema>;
export type ColouredField = z.output<typeof fieldSchema>;
export type Table = z.output<typeof tableSchema>;
