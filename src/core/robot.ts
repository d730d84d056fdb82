import { z } from 'zod';

const positive = z.number().positive();
const notNegative = z.number().nonnegative();

/** How the heading sensor behaves. The raw reading is zero at the start of the program. */
export const gyroSchema = z.object({
  driftRadPerS: z.number().default(0).describe('mean drift of the reading, d(reading − truth)/dt'),
  driftSdRadPerS: notNegative.default(0).describe('how much the drift differs from run to run'),
  noiseRadPerSqrtS: notNegative.default(0.00017).describe('angle random walk N'),
  scaleError: z.number().gt(-0.5).lt(0.5).default(0).describe('reading per true turn, minus one'),
  quantumRad: notNegative.default(0.00174533).describe('smallest step of the reading; 0 for none'),
  periodS: positive.max(0.5).default(0.01),
  latencyS: notNegative.max(0.5).default(0.01),
});

/** A distance sensor that looks ahead from a place on the robot. */
export const distanceSensorSchema = z.object({
  aheadM: z.number().default(0.1).describe('how far ahead of the axle it sits'),
  leftM: z.number().default(0),
  beamHalfAngleRad: notNegative.max(1.2).default(0.2),
  minM: notNegative.default(0.03),
  maxM: positive.default(2),
  offsetM: z.number().default(0).describe('reading = offset + scale · true'),
  scale: positive.default(1),
  noiseM: notNegative.default(0.003),
  quantumM: notNegative.default(0.001),
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

/** The robot's record: sizes as measured, sensors and drive as known, SI units and radians. */
export const robotSchema = z.object({
  wheelDiameterM: positive.max(1),
  trackM: positive.max(2),
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
});

export type Robot = z.output<typeof robotSchema>;
export type DistanceSensor = z.output<typeof distanceSensorSchema>;
