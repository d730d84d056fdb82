import { z } from 'zod';
import { poseSchema } from './table';

const stepId = z.string().min(1).max(40).optional();
const speed = z.number().min(0.01).max(5);
const gain = z.number().min(0).max(20);

/** Drive by the encoders; the heading is held by the gyro: wheel difference = gain · heading error. */
const straightSchema = z.object({
  id: stepId,
  kind: z.literal('straight'),
  distanceM: z.number().min(-10).max(10).describe('negative drives backwards'),
  speedMPerS: speed.default(0.3),
  gainMPerSPerRad: gain.default(1.2).describe('right minus left wheel speed per heading error'),
});

/** Spin on the spot until the reading is within `leadRad` of the wanted heading. */
const turnSchema = z.object({
  id: stepId,
  kind: z.literal('turn'),
  mode: z.enum(['to', 'by']).default('to').describe('to a heading on the table, or by an angle'),
  angleRad: z.number().min(-20).max(20),
  direction: z.enum(['short', 'left', 'right']).default('short').describe('for mode "to"'),
  rateRadPerS: z.number().min(0.05).max(20).default(1.6),
  leadRad: z
    .number()
    .min(-0.5)
    .max(1.5)
    .default(0.08)
    .describe('how much early the motors stop; negative: late'),
});

/** Drive until the distance reading is at or below a threshold; fails at the time-out. */
const approachSchema = z.object({
  id: stepId,
  kind: z.literal('approach'),
  thresholdM: z.number().min(0.005).max(5),
  speedMPerS: speed.default(0.15),
  gainMPerSPerRad: gain.default(1.2),
  timeoutS: z
    .number()
    .min(0.1)
    .max(150)
    .optional()
    .describe('default: from the planned gap and speed'),
});

/** A mission is worked here: the robot stands for a while. */
const markSchema = z.object({
  id: stepId,
  kind: z.literal('mark'),
  missionId: z.string().min(1).max(40),
  dwellS: z.number().min(0).max(60).default(1),
});

export const stepSchema = z.discriminatedUnion('kind', [
  straightSchema,
  turnSchema,
  approachSchema,
  markSchema,
]);

/** A launch of the robot: where and how exactly it is placed, and what it does. */
export const routeSchema = z.object({
  start: poseSchema,
  placement: z
    .object({
      alongSdM: z.number().min(0).max(0.5).default(0.004),
      acrossSdM: z.number().min(0).max(0.5).default(0.004),
      headingSdRad: z.number().min(0).max(1).default(0.014),
    })
    .prefault({})
    .describe('scatter of placing the robot, standard deviations along and across its heading'),
  steps: z.array(stepSchema).max(100),
  turnCalibrationId: z
    .string()
    .max(40)
    .nullable()
    .default(null)
    .describe('the calibration from which the turns’ leads were computed'),
});

export type Step = z.output<typeof stepSchema>;
export type StepOf<K extends Step['kind']> = Extract<Step, { kind: K }>;
export type Route = z.output<typeof routeSchema>;
