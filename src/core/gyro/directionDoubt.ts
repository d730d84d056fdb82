import { radiansFromDegrees } from '../geometry/angle';
import type { Robot } from '../robot/robot';
import { encoderHeading } from './agreement';
import { correctByAnchors, type Anchor } from './anchors';

/** The columns that can contradict one another. */
interface Directed {
  tS: Float64Array;
  columns: {
    headingRad?: Float64Array | undefined;
    leftMotorDegrees?: Float64Array | undefined;
    rightMotorDegrees?: Float64Array | undefined;
  };
}

/** Turning is summed over steps of so long: the flicker of a coarse sensor is none. */
const STEP_S = 1;
/** Wheels that turn the robot by more than a full turn, and the gyro sees less than a fifth of it. */
const LEAST_WHEEL_TURNING_RAD = 2 * Math.PI;
const SEEN_SHARE = 0.2;
/** With one wheel the other way round the wheels would turn it by less than half. */
const EXPLAINED_SHARE = 0.5;
/** A drift of more that all but vanishes, taken the other way round. */
const SUSPECT_DRIFT_RAD_PER_S = radiansFromDegrees(0.5);
const VANISHES = 0.2;

function turning(tS: Float64Array, headingRad: Float64Array): number {
  let sum = 0;
  let last = 0;
  for (let i = 1; i < tS.length; i += 1) {
    if ((tS[i] ?? 0) - (tS[last] ?? 0) < STEP_S) continue;
    sum += Math.abs((headingRad[i] ?? 0) - (headingRad[last] ?? 0));
    last = i;
  }
  return sum;
}

function wheelsContradict({ tS, columns }: Directed, robot: Robot): boolean {
  const { headingRad, leftMotorDegrees: left, rightMotorDegrees: right } = columns;
  if (headingRad === undefined || left === undefined || right === undefined) return false;
  const recorded = turning(tS, encoderHeading(left, right, robot));
  const oneFlipped = turning(
    tS,
    encoderHeading(
      left.map((value) => -value),
      right,
      robot,
    ),
  );
  return (
    recorded > LEAST_WHEEL_TURNING_RAD &&
    turning(tS, headingRad) < SEEN_SHARE * recorded &&
    oneFlipped < EXPLAINED_SHARE * recorded
  );
}

function anchorsContradict({ tS, columns }: Directed, anchors: readonly Anchor[]): boolean {
  const { headingRad } = columns;
  if (headingRad === undefined || anchors.length < 2) return false;
  const worstDrift = (sign: 1 | -1) => {
    const samples = Array.from(tS, (t, i) => ({ tS: t, headingRad: sign * (headingRad[i] ?? 0) }));
    const { pieces } = correctByAnchors(samples, anchors);
    return Math.max(...pieces.map(({ driftRadPerS }) => Math.abs(driftRadPerS)));
  };
  const recorded = worstDrift(1);
  return recorded > SUSPECT_DRIFT_RAD_PER_S && worstDrift(-1) < VANISHES * recorded;
}

/**
 * Said where a log contradicts the directions in the robot's record: its wheels would spin the robot
 * while the gyro sees nothing of it, or the anchors want a large drift that all but vanishes when left
 * and right are exchanged. It is another robot's log, or the record is wrong.
 *
 * @param anchors in order of time
 */
export function directionDoubt(
  log: Directed,
  anchors: readonly Anchor[],
  robot: Robot,
): string | null {
  const wheels = wheelsContradict(log, robot);
  const heading = anchorsContradict(log, anchors);
  if (!wheels && !heading) return null;
  const what = heading
    ? 'Taken the other way round, this heading would hardly have drifted'
    : 'By its motors the robot would have spun round, and the gyro saw nothing of it';
  return `${what}: the log may be another robot’s, or a direction in this robot’s record is wrong. Look at “Directions” before you believe any of this.`;
}
