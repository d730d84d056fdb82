import { z } from 'zod';
import { REZERO_SCHOOLS } from './rezeroSchools';
import { limits } from '../procedure/limits';
import { measuredSchema } from './measured';
import { programSchema } from './profile';
import { label } from '../units/label';
import { portSchema } from '../units/port';
import { unitSchema } from '../units/unit';
import { ROBOT_WAYS } from '../versions/ofRobots';
import { keptSchema } from '../versions/schema';

const positive = z.number().positive();
const notNegative = z.number().nonnegative();

/** What the robot's record gets wrong about it, and how it scatters from run to run. */
export const robotErrorsSchema = z.strictObject({
  wheelScaleError: z
    .number()
    .gt(-0.3)
    .lt(0.3)
    .default(0)
    .describe('true over recorded wheel size, −1'),
  wheelDifference: z.number().gt(-0.3).lt(0.3).default(0).describe('right over left wheel, −1'),
  trackScaleError: z.number().gt(-0.3).lt(0.3).default(0),
  slipMPerSqrtM: notNegative.max(0.2).default(0.002).describe('scatter of one wheel after 1 m'),
});

const sign = z.union([z.literal(1), z.literal(-1)]);

/** Whether a raw reading grows (1) or shrinks (−1) in Corvat's positive direction; nothing else flips a sign. */
export const rawSignsSchema = z.strictObject({
  heading: sign.default(1).describe('1: grows when the robot turns left'),
  leftMotor: sign.default(1).describe('1: grows when it rolls forward'),
  rightMotor: sign.default(1),
});

/** How the robot is built and behaves, as far as the team knows. */
export const buildSchema = z.strictObject({
  ports: z
    .array(portSchema)
    .max(20)
    .default(['A', 'B', 'C', 'D', 'E', 'F'].map((name) => ({ name, takes: [] }))),
  drivenWheels: z.union([z.literal(2), z.literal(4)]).default(2),
  skids: z.boolean().default(false).describe('wheels slide sideways when it turns'),
  trailingCaster: z
    .boolean()
    .default(false)
    .describe('a wheel that swings round trails behind its pivot'),
  encodersRollOver: z.boolean().default(false),
  onStop: z.enum(['coast', 'brake', 'hold']).default('brake'),
  driftCures: z
    .partialRecord(
      z.enum(REZERO_SCHOOLS),
      z.strictObject({
        isPossible: z.boolean().default(true),
        takesS: z.number().min(1).max(3600).nullable().default(null),
      }),
    )
    .default({})
    .describe('which ways of getting rid of drift its kit can do, and how long each takes'),
  startZeroesHeading: z.enum(['yes', 'no', 'not tested']).default('not tested'),
  battery: label.default(''),
});

/**
 * The robot's record: sizes as measured, sensors and drive as known, SI units and radians. Records of an earlier
 * Corvat are brought forward.
 */
export const robotSchema = keptSchema('robot', ROBOT_WAYS, {
  wheelDiameterM: limits.wheelDiameterM,
  trackM: limits.trackM,
  gearRatio: positive.max(1000).default(1),
  encoderCountsPerMotorDegree: positive.max(10000).default(1),
  body: z
    .strictObject({
      frontM: notNegative.max(2).default(0.11).describe('axle to front bumper'),
      rearM: notNegative.max(2).default(0.07),
      halfWidthM: positive.max(2).default(0.08),
    })
    .prefault({}),
  motors: z
    .strictObject({
      maxSpeedMPerS: positive.max(10).default(0.6),
      maxAccelerationMPerS2: positive.max(50).default(1.5),
      lagS: positive.max(1).default(0.04).describe('first-order lag of the wheel speed'),
    })
    .prefault({}),
  loopPeriodS: z
    .number()
    .min(0.001)
    .max(0.5)
    .default(0.01)
    .describe('period of the program’s loop'),
  units: z.array(unitSchema).max(40).describe('its motors and sensors'),
  errors: robotErrorsSchema.prefault({}),
  signs: rawSignsSchema.prefault({}),
  build: buildSchema.prefault({}),
  program: programSchema.prefault({}),
  measured: measuredSchema.prefault({}).describe('what only calibrations say'),
});

export type Robot = z.output<typeof robotSchema>;
export type RawSigns = z.output<typeof rawSignsSchema>;
