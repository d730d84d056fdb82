import { radiansFromDegrees } from '../../geometry/angle';
import { firstAtOrAfter, type HeadingLog, type Span } from '../../channels/log';

/** Motor angles beside a log, in motor degrees. */
export type MotorLog = readonly Float64Array[];

/** A robot that is knocked at rest is not swung round by more than this. */
const LARGEST_KNOCK_RAD = radiansFromDegrees(30);
/** Touched for more of the log than this, it is rather being driven. */
const MOST_TOUCHED = 0.5;
/** No heading sensor at rest drifts or wanders by more. */
const FASTEST_DRIFT_RAD_PER_S = radiansFromDegrees(20);
const WIDEST_WALK_RAD_PER_SQRT_S = radiansFromDegrees(1);
/** Wheels of a robot at rest roll by less, even when somebody touches it. */
const LARGEST_ROLL_MOTOR_DEGREES = 20;

const rangeOf = (values: Float64Array): number => {
  let low = Infinity;
  let high = -Infinity;
  for (const value of values) {
    if (value < low) low = value;
    if (value > high) high = value;
  }
  return high - low;
};

interface Looked {
  touched: readonly Span[];
  driftRadPerS: number;
  walkRadPerSqrtS: number;
}

/**
 * Whether a log is of a robot that drives: its motors turn, or its heading swings as no knock and no
 * drift makes it swing.
 */
export function looksDriven(
  log: HeadingLog,
  { touched, driftRadPerS, walkRadPerSqrtS }: Looked,
  motors: MotorLog = [],
): boolean {
  if (motors.some((angles) => rangeOf(angles) > LARGEST_ROLL_MOTOR_DEGREES)) return true;
  if (Math.abs(driftRadPerS) > FASTEST_DRIFT_RAD_PER_S) return true;
  if (walkRadPerSqrtS > WIDEST_WALK_RAD_PER_SQRT_S) return true;
  const lengthS = (log.tS.at(-1) ?? 0) - (log.tS[0] ?? 0);
  const touchedS = touched.reduce((sum, { fromS, toS }) => sum + toS - fromS, 0);
  if (touched.length > 1 && touchedS > MOST_TOUCHED * lengthS) return true;
  return touched.some(({ fromS, toS }) => {
    const from = firstAtOrAfter(log.tS, fromS);
    const to = firstAtOrAfter(log.tS, toS);
    return rangeOf(log.headingRad.subarray(from, to)) > LARGEST_KNOCK_RAD;
  });
}
