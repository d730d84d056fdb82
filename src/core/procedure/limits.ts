import { z } from 'zod';
import { valueSchema } from '../description/schema';
import * as values from '../description/values';

/**
 * Numbers that a procedure takes, within what a small robot on a table can show. Where a limit is passed,
 * another unit is the likely reason, and the sentence asks for it.
 */
const within = (low: number, high: number, sentence: string) =>
  z.number().min(low, sentence).max(high, sentence);

const DEGREES = 'are these degrees? radians are expected';
const MILLIMETRES = 'are these millimetres? metres are expected';

export const limits = {
  turnRad: valueSchema(values.turnRad),
  turningRateRadPerS: valueSchema(values.turningRateRadPerS),
  turnDurationS: valueSchema(values.turnDurationS),
  runDurationS: valueSchema(values.runDurationS),
  toleranceRad: valueSchema(values.toleranceRad),
  driftRadPerS: valueSchema(values.driftRadPerS),
  lapM: valueSchema(values.lapM('')),
  lapHeadingRad: valueSchema(values.lapHeadingRad),
  readToM: valueSchema(values.readToM),
  sideM: valueSchema(values.sideM),
  trackM: valueSchema(values.trackM),
  wheelDiameterM: valueSchema(values.wheelDiameterM),
  gearRatio: within(-1000, 1000, 'expected at most 1000 motor turns per wheel turn').refine(
    (value) => Math.abs(value) >= 1e-6,
    'expected a number other than 0',
  ),
  encoderCountsPerMotorDegree: z
    .number()
    .min(1e-6, 'expected a number above 0')
    .max(1e6, 'expected at most a million counts'),
  /** Where a run ended on its table. */
  coordinateM: within(-30, 30, `expected at most ± 30 m: ${MILLIMETRES}`),
  endHeadingRad: within(-13, 13, `expected at most ± 13 rad: ${DEGREES}`),
} as const;
