import type { Device } from '../devices/device';
import { degreesFromRadians, wrap } from '../geometry/angle';
import { commandedTravel } from '../program/commandedTravel';
import { TRAVEL_WAYS } from '../program/travels';
import { rawHeading } from '../program/rawHeading';
import { rawReading, rawText, type RawReading } from '../program/rawReading';
import { motorDegreesFromDistance } from '../robot/conversions';
import type { Robot } from '../robot/robot';
import type { Condition, Single } from '../steps/condition/condition';
import { conditionWords, statesOf } from '../steps/condition/words';
import { unitLookedAt, type Leave, type ReadingLeave } from '../steps/leave';
import { counted, number, shortNumber } from '../text/quantities';

/** Where a step is made: by which robot, how its headings are counted, and to where it is planned to look. */
export interface LeftAt {
  robot: Robot;
  zeroRad: number;
  headingRad: number;
}

const orMore = (isMore: boolean): string => (isMore ? 'or more' : 'or less');
const comesTo = (raw: RawReading, isMore: boolean): string => `${rawText(raw)} ${orMore(isMore)}`;

/** How programs call a unit, and where it is plugged in. */
const unitText = ({ label, programName, port }: Device): string => {
  const name = programName.trim() === '' ? label : programName.trim();
  return port === null || port === '' ? name : `${name} on port ${port}`;
};

const ROTATION = 360;

/** The angle that a motor shows for a way of its wheel. */
function rawRoll(robot: Robot, side: 'leftMotor' | 'rightMotor', rollM: number): RawReading {
  const isRotations = robot.program.travel === 'rotations';
  const value = robot.signs[side] * motorDegreesFromDistance(robot, rollM);
  return {
    value: isRotations ? value / ROTATION : value,
    decimals: isRotations ? 2 : 0,
    unit: isRotations ? 'rotations' : '°',
    isTurned: robot.signs[side] === -1,
  };
}

function wheelsText(robot: Robot, leftM: number, rightM: number): string {
  const [left, right] = [rawRoll(robot, 'leftMotor', leftM), rawRoll(robot, 'rightMotor', rightM)];
  const shows = (raw: RawReading) => comesTo(raw, raw.value >= 0);
  if (leftM !== 0 && rightM !== 0 && shows(left) === shows(right))
    return `both motors have counted ${shows(left)}`;
  const each = [
    ...(leftM === 0 ? [] : [`the left motor has counted ${shows(left)}`]),
    ...(rightM === 0 ? [] : [`the right motor has counted ${shows(right)}`]),
  ];
  return each.join(' and ');
}

/** What of both motors together goes as the robot does. */
function meanText(robot: Robot, distanceM: number): string {
  const { leftMotor, rightMotor } = robot.signs;
  const raw = rawRoll(robot, leftMotor === rightMotor ? 'leftMotor' : 'rightMotor', distanceM);
  const what =
    leftMotor === rightMotor
      ? 'the mean of both motors'
      : leftMotor === 1
        ? 'half of left motor less right motor'
        : 'half of right motor less left motor';
  const value = leftMotor === rightMotor ? raw.value : Math.abs(raw.value) * Math.sign(distanceM);
  return `${what} has counted ${comesTo({ ...raw, value }, value >= 0)}`;
}

/** How far both wheels have gone, as programs count it; by what the robot rolls on it is less. */
function travelText(robot: Robot, distanceM: number, angleRad: number | null): string {
  const { travel, forwardSign } = robot.program;
  const toldM = Math.sign(distanceM) * Math.max(0, Math.abs(distanceM) - robot.program.coastM);
  if (travel === null || travel === 'motor degrees' || travel === 'rotations') {
    if (angleRad === null) return meanText(robot, toldM);
    const halfM = (angleRad * robot.trackM) / 2;
    return wheelsText(robot, toldM - halfM, toldM + halfM);
  }
  const told =
    forwardSign * Math.sign(distanceM) * commandedTravel(robot, travel, Math.abs(distanceM));
  const raw = { ...TRAVEL_WAYS[travel], value: told, isTurned: false };
  return `the distance shows ${comesTo(raw, told >= 0)}`;
}

const ORDINALS = ['', '', '2nd', '3rd'];
const ordinal = (n: number): string => ORDINALS[n] ?? `${n}th`;

function readingText(robot: Robot, leave: ReadingLeave): string {
  const { unit, channel, is, value, nth = 1, again, stops } = leave;
  if (unit === null) return 'a sensor that this robot does not have says so';
  if (channel === 'touch') return `${unitText(unit)} is ${is === 'above' ? 'pressed' : 'let go'}`;
  const raw = rawReading(unit, channel, value, robot);
  const isMore = (is === 'above') !== raw.isTurned;
  const often =
    nth === 1 || again === undefined
      ? ''
      : ` for the ${ordinal(nth)} time, ${comesTo(rawReading(unit, channel, again, robot), !isMore)} in between`;
  const side = stops === undefined ? '' : `, which stops the ${stops} motor alone`;
  return `${unitText(unit)} shows ${comesTo(raw, isMore)}${often}${side}`;
}

/** A single condition, with its number as programs read it. */
function singleText(single: Single, at: LeftAt): string {
  const { reading, is, value, confirmations } = single;
  const often = confirmations === 1 ? '' : `, ${counted(confirmations, 'time')} in a row`;
  const isPast = is === 'above' || is === 'below';
  if (reading === 'heading' && isPast) {
    const headingRad = at.headingRad + wrap(value - at.headingRad);
    const raw = rawHeading(at.robot, headingRad - at.zeroRad);
    return `the heading shows ${comesTo(raw, (is === 'above') !== raw.isTurned)}${often}`;
  }
  const unit = unitLookedAt(single, at.robot);
  if (unit === null || !isPast || typeof reading !== 'object' || statesOf(reading) !== null)
    return conditionWords(single);
  const channel = 'unit' in reading ? reading.channel : 'angle';
  const degrees = 'unit' in reading ? value : degreesFromRadians(value);
  return readingText(at.robot, { by: 'reading', unit, channel, is, value: degrees }) + often;
}

/** A condition, with its numbers as the robot's programs read them. */
export function conditionText(condition: Condition, at: LeftAt): string {
  const within = (one: Condition) =>
    'reading' in one ? conditionText(one, at) : `(${conditionText(one, at)})`;
  if ('all' in condition) return condition.all.map(within).join(' and ');
  if ('any' in condition) return condition.any.map(within).join(' or ');
  return singleText(condition, at);
}

function headingText(
  { headingRad, turns, withinRad }: Extract<Leave, { by: 'heading' }>,
  { robot, zeroRad }: LeftAt,
): string {
  const raw = rawHeading(robot, headingRad - zeroRad);
  if (withinRad === undefined)
    return `the heading shows ${comesTo(raw, turns > 0 !== raw.isTurned)}`;
  const { value, unit } = rawHeading(robot, withinRad);
  return `the heading stays within ${shortNumber(Math.abs(value), 2)}${unit === '°' ? '' : ' '}${unit} of ${rawText(raw)}`;
}

/** The inequality by which a program leaves a step, with the number and the sign that its robot shows. */
export function leaveText(leave: Leave, at: LeftAt): string {
  const { robot } = at;
  switch (leave.by) {
    case 'travel':
      return travelText(robot, leave.distanceM, leave.angleRad);
    case 'wheels':
      return wheelsText(robot, leave.leftM, leave.rightM);
    case 'heading':
      return headingText(leave, at);
    case 'turned': {
      const raw = rawHeading(robot, leave.angleRad);
      return `the heading has changed by ${comesTo(raw, raw.value >= 0)}`;
    }
    case 'time':
      return `${shortNumber(leave.seconds, 2)} s are over`;
    case 'reading':
      return readingText(robot, leave);
    case 'arm':
      return leave.unit === null
        ? 'an arm that this robot does not have is there'
        : `${unitText(leave.unit)} stands at ${number(degreesFromRadians(leave.angleRad), 0)}°`;
    case 'stall':
      return 'both motors stand, though they are told to drive';
    case 'start':
      return 'the start signal comes';
    case 'condition':
      return conditionText(leave.condition, at);
  }
}
