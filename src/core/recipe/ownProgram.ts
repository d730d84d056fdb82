import { channelsOf } from '../devices/channels';
import type { Device } from '../devices/device';
import { devicesOf } from '../devices/ofRobot';
import { ANGLE_UNITS } from '../program/gain';
import { rawHeading } from '../program/rawHeading';
import { rawReading } from '../program/rawReading';
import { motorDegreesFromDistance } from '../robot/conversions';
import type { Robot } from '../robot/robot';
import { figure, typed } from './figure';
import type { Figure, Line } from './lines';
import { commandLaw, runLine, signed, type CommandLaw } from './motors';
import { motorNames, nameOf } from './names';

const ROTATION = 360;
/** About a reading its slope is looked at so far to either side, in the core's unit. */
const NEAR = 0.001;

/** How a robot's own programs read and command it: what recipes write their lines with. */
export interface OwnProgram {
  robot: Robot;
  names: { left: string; right: string };
  /** How often a loop goes round. */
  loop: Line;
  /** What the motors count for a metre, forwards, and what that is called. */
  perM: number;
  countUnit: string;
  travel(distanceM: number): Figure;
  /** How far each wheel has gone since its motor stood at L, or at R. */
  leftWay: string;
  rightWay: string;
  /** What is written before a way is counted. */
  countFromHere: Line[];
  /** The mean of both. */
  way: string;
  law(aboutMPerS: number): CommandLaw;
  run(left: string, right: string): Line;
  /** What the heading shows; a heading, or a turn, as it is typed; how many of its units are a radian. */
  heading: string;
  angle(rad: number): Figure;
  perRad: number;
  /** What turns the robot to the left counts the heading so. */
  leftSign: 1 | -1;
  read(unit: Device, channel: string): string;
  reading(unit: Device, channel: string, value: number): Figure;
  /** How much a reading changes for one of the core's units, about a value. */
  slope(unit: Device, channel: string, about: number): number;
  /** "L2 <= 35": it reads so much or less, or or more, as its own numbers go. */
  compare(unit: Device, channel: string, is: 'above' | 'below', value: string): string;
}

const headingSensorOf = (robot: Robot): Device | null =>
  devicesOf(robot, 'heading sensor')[0] ?? null;

/** The turning of a robot without a heading sensor: what its right wheel rolled further than its left one. */
const fromWheels = (left: string, right: string, perCount: number): string =>
  `${typed(perCount, 5)} * (${right} - ${left}) + HEADING ADDED`;

/** What lines call a reading: the unit, with the channel where it has several. */
export const readName = (robot: Robot, unit: Device, channel: string): string => {
  const isOnly = channelsOf(unit).length === 1;
  return isOnly ? nameOf(robot, unit) : `${nameOf(robot, unit)} ${channel}`;
};

export function ownProgram(robot: Robot): OwnProgram {
  const { signs, program } = robot;
  const names = motorNames(robot);
  const isRotations = program.travel === 'rotations';
  const perM = motorDegreesFromDistance(robot, 1) / (isRotations ? ROTATION : 1);
  const countUnit = isRotations ? 'rotations' : '°';
  const sensor = headingSensorOf(robot);
  const { sizeRad, unit: angleUnit } = ANGLE_UNITS[program.angles];
  const forward = (sign: 1 | -1, name: string, from: string) =>
    sign === 1 ? `${name} - ${from}` : `${from} - ${name}`;
  const [leftWay, rightWay] = [
    forward(signs.leftMotor, names.left, 'L'),
    forward(signs.rightMotor, names.right, 'R'),
  ];
  const leftSign = sensor === null ? 1 : signs.heading;
  const counted = rawHeading(robot, 1);
  const angleDecimals = counted.decimals + 1;
  return {
    robot,
    names,
    loop: `wait ${typed(robot.loopPeriodS, 3)} s`,
    perM,
    countUnit,
    travel: (distanceM) => figure(distanceM * perM, isRotations ? 3 : 1, countUnit),
    leftWay,
    rightWay,
    countFromHere: [`set L to ${names.left}`, `set R to ${names.right}`],
    way: `(${leftWay} + ${rightWay}) / 2`,
    law: (aboutMPerS) => commandLaw(robot, aboutMPerS),
    run: (left, right) => runLine(robot, names, left, right),
    heading:
      sensor === null
        ? `(${fromWheels(
            signed(signs.leftMotor, names.left),
            signed(signs.rightMotor, names.right),
            1 / (perM * robot.trackM * sizeRad),
          )})`
        : nameOf(robot, sensor),
    angle: (rad) =>
      figure((leftSign * program.headingScale * rad) / sizeRad, angleDecimals, angleUnit),
    perRad: 1 / sizeRad,
    leftSign,
    read: (unit, channel) => readName(robot, unit, channel),
    reading(unit, channel, value) {
      const raw = rawReading(unit, channel, value, robot);
      return figure(raw.value, raw.decimals + 1, raw.unit);
    },
    slope(unit, channel, about) {
      const raw = (value: number) => rawReading(unit, channel, value, robot).value;
      return (raw(about + NEAR) - raw(about - NEAR)) / (2 * NEAR);
    },
    compare(unit, channel, is, value) {
      const { isTurned } = rawReading(unit, channel, 0, robot);
      return `${readName(robot, unit, channel)} ${(is === 'above') !== isTurned ? '>=' : '<='} ${value}`;
    },
  };
}
