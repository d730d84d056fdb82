import { looksRolledOver, ROLL_OVER_DEGREES, unwrapEncoder } from '../channels/unwrapEncoder';
import { degreesFromRadians, radiansFromDegrees } from '../geometry/angle';
import type { ChannelLog } from '../channels/log';
import { unwrapHeadings } from '../channels/unwrap';
import type { RawConvention } from '../channels/rawConvention';
import type { RawSigns } from '../robot/robot';
import { number } from '../text/quantities';

/** Raw readings while something was done to the robot by hand. */
export interface RawLog {
  /** As read, whatever the sign. */
  headingRad: Float64Array | null;
  leftMotorDegrees: Float64Array | null;
  rightMotorDegrees: Float64Array | null;
}

/** What of a log tells the directions, without its gaps. */
export function rawLogOf({ columns }: ChannelLog): RawLog {
  const known = (values: Float64Array | undefined) => {
    const read = values?.filter((value) => !Number.isNaN(value));
    return read === undefined || read.length < 2 ? null : read;
  };
  return {
    headingRad: known(columns.headingRad),
    leftMotorDegrees: known(columns.leftMotorDegrees),
    rightMotorDegrees: known(columns.rightMotorDegrees),
  };
}

/** What is done by hand, one after the other. */
export type DirectionStep = 'turn-left' | 'roll-forward' | 'tilt';

export interface DirectionResult {
  /** Signs that this step has found out. */
  signs: Partial<RawSigns>;
  /** Whether the encoders begin anew after each turn of the motor; null: this step does not tell. */
  rollsOver: boolean | null;
  ok: boolean;
  sentence: string;
}

/** A quarter turn by hand is not exact; less than this is no turn. */
const LEAST_TURN_RAD = radiansFromDegrees(30);
const LEAST_MOTOR_DEGREES = 30;
/** A vertical axis may read a little of a tilt, no more. */
const MOST_TILT_READ_RAD = radiansFromDegrees(5);

const change = (values: Float64Array | null): number | null =>
  values === null || values.length < 2 ? null : (values.at(-1) ?? 0) - (values[0] ?? 0);

const signOf = (value: number): 1 | -1 => (value >= 0 ? 1 : -1);

function judgeTurn({ headingRad }: RawLog): DirectionResult {
  const turned = headingRad === null ? null : change(unwrapHeadings(headingRad));
  if (turned === null || Math.abs(turned) < LEAST_TURN_RAD) {
    return {
      signs: {},
      rollsOver: null,
      ok: false,
      sentence: `The heading changed by only ${number(Math.abs(degreesFromRadians(turned ?? 0)))}°: turn the robot a quarter to the left, and see that the sensor is plugged in.`,
    };
  }
  const heading = signOf(turned);
  return {
    signs: { heading },
    rollsOver: null,
    ok: true,
    sentence: `Turning left, the raw heading ${heading > 0 ? 'grows' : 'shrinks'} (by ${number(Math.abs(degreesFromRadians(turned)))}°).`,
  };
}

function judgeRoll({ leftMotorDegrees, rightMotorDegrees }: RawLog): DirectionResult {
  const wheels = [leftMotorDegrees, rightMotorDegrees];
  const jumps = wheels.some((wheel) => wheel !== null && looksRolledOver(wheel));
  const [left = null, right = null] = wheels.map((wheel) =>
    change(wheel !== null && jumps ? unwrapEncoder(wheel) : wheel),
  );
  const still = [
    ...(left === null || Math.abs(left) < LEAST_MOTOR_DEGREES ? ['left'] : []),
    ...(right === null || Math.abs(right) < LEAST_MOTOR_DEGREES ? ['right'] : []),
  ];
  if (still.length > 0 || left === null || right === null) {
    return {
      signs: {},
      rollsOver: null,
      ok: false,
      sentence: `The ${still.join(' and the ')} motor did not turn: roll the robot forward on its wheels, and see that the motors may turn freely.`,
    };
  }
  const word = (value: number) => (value > 0 ? 'grows' : 'shrinks');
  // Without a jump over more than a turn it counts on; over less nobody can tell.
  const countsOn = Math.min(Math.abs(left), Math.abs(right)) > 1.1 * ROLL_OVER_DEGREES;
  return {
    signs: { leftMotor: signOf(left), rightMotor: signOf(right) },
    rollsOver: jumps ? true : countsOn ? false : null,
    ok: true,
    sentence: `Rolling forward, the left motor’s angle ${word(left)} and the right one’s ${word(right)}.${jumps ? ' Both begin anew after a full turn.' : ''}`,
  };
}

function judgeTilt({ headingRad }: RawLog): DirectionResult {
  if (headingRad === null || headingRad.length < 2) {
    return { signs: {}, rollsOver: null, ok: false, sentence: 'No heading was read.' };
  }
  const unwrapped = unwrapHeadings(headingRad);
  const first = unwrapped[0] ?? 0;
  const read = unwrapped.reduce((most, value) => Math.max(most, Math.abs(value - first)), 0);
  const ok = read <= MOST_TILT_READ_RAD;
  return {
    signs: {},
    rollsOver: null,
    ok,
    sentence: ok
      ? `Tilting changed the heading by no more than ${number(degreesFromRadians(read), 1)}°: the sensor’s axis is vertical.`
      : `Tilting changed the heading by ${number(degreesFromRadians(read))}°: the sensor lies crooked, or another axis is read. Mount it flat.`,
  };
}

/**
 * Which way raw readings grow, and whether the heading sensor's axis is vertical, from the robot
 * being turned left, rolled forward or tilted by hand.
 */
export function judgeDirection(step: DirectionStep, log: RawLog): DirectionResult {
  switch (step) {
    case 'turn-left':
      return judgeTurn(log);
    case 'roll-forward':
      return judgeRoll(log);
    case 'tilt':
      return judgeTilt(log);
  }
}

/** What the moves by hand have found out so far. */
export type FoundConvention = Partial<RawSigns> & Pick<DirectionResult, 'rollsOver'>;

/** What the record has wrong, in words. */
export function recordErrors(
  { signs, encodersRollOver }: RawConvention,
  { rollsOver, ...found }: FoundConvention,
): string[] {
  const names: Record<keyof RawSigns, string> = {
    heading: 'the heading the wrong way round',
    leftMotor: 'the left motor the wrong way round',
    rightMotor: 'the right motor the wrong way round',
  };
  return [
    ...(Object.keys(names) as (keyof RawSigns)[])
      .filter((key) => found[key] !== undefined && found[key] !== signs[key])
      .map((key) => names[key]),
    ...(rollsOver !== null && rollsOver !== encodersRollOver
      ? [
          rollsOver
            ? 'encoders that count on, and they roll over'
            : 'encoders that roll over, and they count on',
        ]
      : []),
  ];
}
