import { z } from 'zod';
import { limits } from './limits';

const positive = z.number().positive();
const notNegative = z.number().nonnegative();

/** How the heading sensor behaves. The raw reading is zero at the start of the program. */
export const gyroSchema = z.object({
  driftRadPerS: z
    .number()
    .min(-1)
    .max(1)
    .default(0)
    .describe('mean drift of the reading, d(reading − truth)/dt'),
  driftSdRadPerS: notNegative
    .max(1)
    .default(0)
    .describe('how much the drift differs from run to run'),
  noiseRadPerSqrtS: notNegative.max(1).default(0.00017).describe('angle random walk N'),
  scaleError: z.number().gt(-0.5).lt(0.5).default(0).describe('reading per true turn, minus one'),
  quantumRad: notNegative
    .max(1)
    .default(0.00174533)
    .describe('smallest step of the reading; 0 for none'),
  periodS: positive.max(0.5).default(0.01),
  latencyS: notNegative.max(0.5).default(0.01),
});

/** A distance sensor that looks ahead from a place on the robot. */
export const distanceSensorSchema = z.object({
  aheadM: z.number().min(-2).max(2).default(0.1).describe('how far ahead of the axle it sits'),
  leftM: z.number().min(-2).max(2).default(0),
  beamHalfAngleRad: notNegative.max(1.2).default(0.2),
  minM: notNegative.max(20).default(0.03),
  maxM: positive.max(20).default(2),
  offsetM: z.number().min(-5).max(5).default(0).describe('reading = offset + scale · true'),
  scale: positive.max(10).default(1),
  noiseM: notNegative.max(1).default(0.003),
  quantumM: notNegative.max(1).default(0.001),
  lostEchoShare: z.number().min(0).max(0.9).default(0.01),
  periodS: positive.max(0.5).default(0.03),
});

/** What the robot's record gets wrong about it, and how it scatters from run to run. */
export const robotErrorsSchema = z.object({
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
export const rawSignsSchema = z.object({
  heading: sign.default(1).describe('1: grows when the robot turns left'),
  leftMotor: sign.default(1).describe('1: grows when it rolls forward'),
  rightMotor: sign.default(1),
});

/** What a unit is plugged in for. */
export const unitRoleSchema = z.enum([
  'left motor',
  'right motor',
  'heading sensor',
  'distance sensor',
  'light sensor',
  'touch sensor',
  'attachment motor',
  'other',
]);

const label = z.string().trim().max(40, 'expected at most 40 characters');

/** One motor or sensor with a label of its own: a calibration belongs to it, not to its port. */
export const unitSchema = z.object({
  id: z.string().min(1).max(40),
  role: unitRoleSchema,
  label: label.min(1, 'expected a label'),
  port: label.describe('empty: not plugged in'),
  heightM: z.number().min(0).max(1).nullable().default(null),
  mounting: label.default('').describe('where it sits and which way it looks'),
});

/** How the robot is built and behaves, as far as the team knows. */
export const buildSchema = z.object({
  ports: z.array(label.min(1)).max(20).default(['A', 'B', 'C', 'D', 'E', 'F']),
  units: z.array(unitSchema).max(30).default([]),
  drivenWheels: z.union([z.literal(2), z.literal(4)]).default(2),
  skids: z.boolean().default(false).describe('wheels slide sideways when it turns'),
  encodersRollOver: z.boolean().default(false),
  onStop: z.enum(['coast', 'brake', 'hold']).default('brake'),
  startZeroesHeading: z.enum(['yes', 'no', 'not tested']).default('not tested'),
  battery: label.default(''),
});

/** The robot's record: sizes as measured, sensors and drive as known, SI units and radians. */
export const robotSchema = z.object({
  wheelDiameterM: limits.wheelDiameterM,
  trackM: limits.trackM,
  gearRatio: positive.max(1000).default(1),
  encoderCountsPerMotorDegree: positive.max(10000).default(1),
  body: z
    .object({
      frontM: notNegative.max(2).default(0.11).describe('axle to front bumper'),
      rearM: notNegative.max(2).default(0.07),
      halfWidthM: positive.max(2).default(0.08),
    })
    .prefault({}),
  motors: z
    .object({
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
  gyro: gyroSchema.prefault({}),
  distance: distanceSensorSchema.nullable().default(null),
  errors: robotErrorsSchema.prefault({}),
  signs: rawSignsSchema.prefault({}),
  build: buildSchema.prefault({}),
});

export type Robot = z.output<typeof robotSchema>;
export type RawSigns = z.output<typeof rawSignsSchema>;
export type Unit = z.output<typeof unitSchema>;
export type UnitRole = z.output<typeof unitRoleSchema>;
export type DistanceSensor = z.output<typeof distanceSensorSchema>;
