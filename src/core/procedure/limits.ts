import { z } from 'zod';

/**
 * Numbers that a procedure takes, within what a small robot on a table can show. Where a limit is passed,
 * another unit is the likely reason, and the sentence asks for it.
 */
const within = (low: number, high: number, sentence: string) =>
  z.number().min(low, sentence).max(high, sentence);

const DEGREES = 'are these degrees? radians are expected';
const MILLIMETRES = 'are these millimetres? metres are expected';
const MILLISECONDS = 'are these milliseconds? seconds are expected';

/** Two full turns and some: no program is told more at once. */
const MOST_TURN_RAD = 13;

export const limits = {
  /** A turn that is told, wanted or made. */
  turnRad: within(-MOST_TURN_RAD, MOST_TURN_RAD, `expected at most ± 13 rad (745°): ${DEGREES}`),
  turningRateRadPerS: z
    .number()
    .positive()
    .max(20, `expected at most 20 rad/s (1146°/s): ${DEGREES}`),
  turnDurationS: z.number().positive().max(60, `expected at most 60 s: ${MILLISECONDS}`),
  runDurationS: z.number().positive().max(3600, `expected at most 3600 s: ${MILLISECONDS}`),
  toleranceRad: z.number().positive().max(0.8, `expected at most 0.8 rad (46°): ${DEGREES}`),
  driftRadPerS: within(-0.35, 0.35, `expected at most ± 0.35 rad/s (20°/s): ${DEGREES}`),
  /** Where a lap ends, against where it began. */
  lapM: within(-5, 5, `expected at most ± 5 m: ${MILLIMETRES}`),
  lapHeadingRad: within(-3.2, 3.2, `expected at most ± 3.2 rad (half a turn): ${DEGREES}`),
  /** In which step a tape was read; null: as the readings show it. */
  readToM: z
    .number()
    .positive()
    .max(0.1, `expected at most 0.1 m: ${MILLIMETRES}`)
    .nullable()
    .default(null)
    .describe('the step in which the tape was read; null: as the readings show it'),
  sideM: z
    .number()
    .min(0.05, 'expected at least 0.05 m')
    .max(10, `expected at most 10 m: ${MILLIMETRES}`),
  trackM: z
    .number()
    .min(0.01, 'expected at least 0.01 m')
    .max(2, `expected at most 2 m: ${MILLIMETRES}`),
  wheelDiameterM: z
    .number()
    .min(0.005, 'expected at least 0.005 m')
    .max(1, `expected at most 1 m: ${MILLIMETRES}`),
  gearRatio: within(-1000, 1000, 'expected at most 1000 motor turns per wheel turn').refine(
    (value) => Math.abs(value) >= 1e-6,
    'expected a number other than 0',
  ),
  encoderCountsPerMotorDegree: z
    .number()
    .min(1e-6, 'expected a number above 0')
    .max(1e6, 'expected at most a million counts'),
  distanceM: within(-1000, 1000, `expected at most ± 1000 m: ${MILLIMETRES}`),
  headingRad: within(-1e4, 1e4, 'expected at most ± 10 000 rad'),
  motorDegrees: within(-1e9, 1e9, 'expected at most ± 10⁹ motor degrees'),
  /** Where a run ended on its table. */
  coordinateM: within(-30, 30, `expected at most ± 30 m: ${MILLIMETRES}`),
  endHeadingRad: within(-MOST_TURN_RAD, MOST_TURN_RAD, `expected at most ± 13 rad: ${DEGREES}`),
} as const;
