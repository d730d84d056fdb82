import { radiansFromDegrees, wrap } from '../geometry/angle';
import type { HeadingTestsCalibration } from '../calibrationValues/headingTests';
import { driftText } from './driftText';
import { between, degrees } from '../text/quantities';

/* Three tests of half a minute each, of a heading that nobody has looked at before. */

/** An angle that a controller reports, before and after the robot was turned a quarter to the left. */
export interface ReportedAngle {
  name: string;
  beforeRad: number;
  afterRad: number;
}

/** What a test found; null: it does not tell. */
export interface Tested<T> {
  found: T | null;
  sentence: string;
}

const QUARTER_RAD = Math.PI / 2;
/** A hand turns a quarter so well. */
const BY_HAND_RAD = radiansFromDegrees(25);
/** An angle that stays moves less than this while a robot is turned flat on the table. */
const STAYS_RAD = radiansFromDegrees(15);

/** Which of several reported angles is the heading as the controller is mounted: the one that turns with the robot. */
export function headingAxis(
  angles: readonly ReportedAngle[],
): Tested<NonNullable<HeadingTestsCalibration['axis']>> {
  const changes = angles.map(({ name, beforeRad, afterRad }) => ({
    name,
    changeRad: wrap(afterRad - beforeRad),
  }));
  const turned = changes.filter(
    ({ changeRad }) => Math.abs(Math.abs(changeRad) - QUARTER_RAD) <= BY_HAND_RAD,
  );
  const [first, second] = turned;
  if (first === undefined) {
    return {
      found: null,
      sentence:
        'No angle turned by a quarter: turn the robot flat on the table, by a quarter to the left, and read them again.',
    };
  }
  if (second !== undefined) {
    return {
      found: null,
      sentence: `“${first.name}” and “${second.name}” both turned by a quarter: one may be the other under another name. Turn it by a half as well; else take the one that stays when you lift its nose.`,
    };
  }
  const tilted = changes.find(
    ({ name, changeRad }) => name !== first.name && Math.abs(changeRad) > STAYS_RAD,
  );
  const grows = first.changeRad > 0 ? 'grows' : 'shrinks';
  const crooked =
    tilted === undefined
      ? ''
      : ` “${tilted.name}” moved by ${degrees(Math.abs(tilted.changeRad), 0)} as well: the controller lies crooked.`;
  return {
    found: { name: first.name, sign: first.changeRad > 0 ? 1 : -1 },
    sentence: `“${first.name}” is the heading: it ${grows} as the robot turns to the left.${crooked}`,
  };
}

/** From 0 it has to be turned so far that a start that zeroes it is seen. */
const TURNED_AWAY_RAD = radiansFromDegrees(20);
const AS_BEFORE_RAD = radiansFromDegrees(5);

/** Whether starting a program zeroes the heading, from what it read before and just after. */
export function zeroedByStart(
  beforeRad: number,
  afterRad: number,
): Tested<NonNullable<HeadingTestsCalibration['start']>> {
  if (Math.abs(wrap(beforeRad)) < TURNED_AWAY_RAD) {
    return {
      found: null,
      sentence: `It read ${degrees(beforeRad, 0)} before: turn the robot further from 0 first, then start the program.`,
    };
  }
  if (Math.abs(wrap(afterRad)) <= AS_BEFORE_RAD) {
    return {
      found: 'zeroes',
      sentence:
        'Starting the program zeroes the heading: place the robot first, then start, and hold it still while it starts.',
    };
  }
  if (Math.abs(wrap(afterRad - beforeRad)) <= AS_BEFORE_RAD) {
    return {
      found: 'keeps',
      sentence:
        'Starting the program leaves the heading as it was: let the program zero it as its first command.',
    };
  }
  return {
    found: null,
    sentence: `From ${degrees(beforeRad, 0)} it went to ${degrees(afterRad, 0)}, neither 0 nor as before: was it moved? Do it again without touching it.`,
  };
}

/** Two readings of a robot that does not move, and the time between them. */
export interface TwoReadings {
  fromRad: number;
  untilRad: number;
  durationS: number;
}

/** What a sensor may wander by itself where nobody has logged it: a cautious guess, rad/√s. */
const WALK_GUESS = radiansFromDegrees(0.02);
const Z95 = 1.96;
/** The difference of two readings that are each rounded to a step of one. */
const ROUNDING_SD = Math.sqrt(2 / 12);

const rateVariance = ({ durationS }: TwoReadings, stepRad: number): number =>
  (ROUNDING_SD * stepRad) ** 2 / durationS ** 2 + WALK_GUESS ** 2 / durationS;

/**
 * Whether running motors disturb the heading: how much faster it creeps while they run than while they rest, with what
 * reading in steps and the sensor's own wander may make of it. The robot stands on a block, its wheels in the air.
 *
 * Source: variance of a difference of two independent rates; uniform rounding errors, Sheppard.
 * @param stepRad in which the heading is shown
 */
export function motorsDisturb(
  resting: TwoReadings,
  running: TwoReadings,
  stepRad: number,
): Tested<NonNullable<HeadingTestsCalibration['motors']>> {
  const rate = ({ fromRad, untilRad, durationS }: TwoReadings) =>
    wrap(untilRad - fromRad) / durationS;
  const driftRadPerS = rate(running) - rate(resting);
  const half = Z95 * Math.sqrt(rateVariance(resting, stepRad) + rateVariance(running, stepRad));
  const found = { driftRadPerS, low95: driftRadPerS - half, high95: driftRadPerS + half };
  const [low, high] = between(found.low95, found.high95).map(driftText);
  const proved = found.low95 > 0 || found.high95 < 0;
  return {
    found,
    sentence: proved
      ? `Running motors push the heading by ${driftText(driftRadPerS)} (${low} to ${high}): move the sensor and its cable away from them, and measure drift while they run.`
      : `Running motors are not proved to disturb it (${low} to ${high}).`,
  };
}
