import { z } from 'zod';

const finite = z.number();
const notNegative = z.number().nonnegative();

/** A drift to subtract: reading − drift · time. */
const driftValue = z.object({
  kind: z.literal('gyro-drift'),
  driftRadPerS: finite,
  low95: finite,
  high95: finite,
});

const turnGroup = z.object({
  direction: z.enum(['left', 'right', 'both']),
  rateRadPerS: z.number().positive().nullable(),
  rates: z.array(z.number().positive()).min(1),
  kind: z.enum(['spin', 'pivot']),
  constantRad: finite,
  scaleError: z.number().gt(-0.9),
  residualSdRad: notNegative.nullable(),
  n: z.number().int().positive(),
});

/** How far turns go too far. */
const turnsValue = z.object({
  kind: z.literal('turns'),
  groups: z.array(turnGroup).min(1),
  lagS: notNegative.nullable(),
  brakingRadPerS2: z.number().positive().nullable(),
});

/** True sizes of the drive, as factors of those in the record. */
const driveValue = z.object({
  kind: z.literal('drive'),
  trackRatio: z.number().positive(),
  leftWheelFactor: z.number().positive(),
  rightWheelFactor: z.number().positive(),
  /** Standard errors of the track, and of right over left wheel; calibrations made before do not say. */
  trackRatioSe: notNegative.optional(),
  wheelRatioSe: notNegative.optional(),
});

/** What a procedure found about a robot and may be computed with from then on. */
export const calibrationValueSchema = z.discriminatedUnion('kind', [
  driftValue,
  turnsValue,
  driveValue,
]);

export type CalibrationValue = z.output<typeof calibrationValueSchema>;
export type CalibrationKind = CalibrationValue['kind'];
export type TurnsCalibration = Extract<CalibrationValue, { kind: 'turns' }>;
export type DriveCalibration = Extract<CalibrationValue, { kind: 'drive' }>;
