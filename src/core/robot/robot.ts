import { z } from 'zod';
import { REZERO_STRATEGIES } from './rezeroStrategies';
import { MOST_LETTERS, type Values } from '../description/description';
import { partSchema, shapeOf, valueSchema } from '../description/schema';
import {
  BODY,
  BUILD,
  ROBOT_ERRORS,
  LOOP,
  MOTORS,
  MOUNTING,
  SIGNS,
  SIZES,
  TAKES,
} from './description';
import { measuredSchema } from './measured';
import { programSchema } from './profile';
import { portSchema } from '../devices/port';
import { deviceSchema } from '../devices/device';
import { ROBOT_WAYS } from '../versions/ofRobots';
import { keptSchema } from '../versions/schema';

/** How the robot is built and behaves, as far as the team knows. */
const buildSchema = z.strictObject({
  ...shapeOf(BUILD),
  ports: z
    .array(portSchema)
    .max(20)
    .default(['A', 'B', 'C', 'D', 'E', 'F'].map((name) => ({ name, takes: [] }))),
  driftCures: z
    .partialRecord(
      z.enum(REZERO_STRATEGIES),
      z.strictObject({ isPossible: z.boolean().default(true), takesS: valueSchema(TAKES) }),
    )
    .default({})
    .describe('which ways of getting rid of drift its kit can do, and how long each takes'),
});

const MOST_MOUNTINGS = 12;

/** Names one of what can be mounted on a robot. */
export const mountedSchema = z.string().min(1).max(MOST_LETTERS).nullable().default(null);

/**
 * The robot's record: sizes as measured, sensors and drive as known, SI units and radians. Records of an earlier
 * Corvat are brought forward.
 */
export const robotSchema = keptSchema('robot', ROBOT_WAYS, {
  ...shapeOf(SIZES),
  ...shapeOf(LOOP),
  body: partSchema(BODY),
  motors: partSchema(MOTORS),
  units: z.array(deviceSchema).max(40).describe('its motors and sensors'),
  errors: partSchema(ROBOT_ERRORS),
  signs: partSchema(SIGNS),
  build: buildSchema.prefault({}),
  mountings: z
    .array(z.strictObject(shapeOf(MOUNTING)))
    .max(MOST_MOUNTINGS)
    .refine(
      (all) => new Set(all.map(({ name }) => name)).size === all.length,
      'expected a different name for each',
    )
    .default([])
    .describe('what can be mounted on it'),
  mounted: mountedSchema.describe('what is mounted on it now, by its name; null: nothing'),
  program: programSchema.prefault({}),
  measured: measuredSchema.prefault({}).describe('what only calibrations say'),
});

export type Robot = z.output<typeof robotSchema>;
export type RawSigns = Values<typeof SIGNS>;
