import { distanceFromMotorDegrees, motorDegreesFromDistance } from '../robot/conversions';
import type { Robot } from '../robot/robot';
import type { Command } from '../robot/programWays';
import { percentForSpeed, speedAtPercent } from './speedTable';

/** One way in which programs say how fast a wheel goes. */
export interface CommandWay {
  /** Behind a number of it. */
  unit: string;
  decimals: number;
  /** No program tells more. */
  most: number;
  /** Wheel speed in m/s for a number of it; null where it was not measured. */
  speed(robot: Robot, command: number): number | null;
  /** The number for a wheel speed; null where it was not measured. */
  commanded(robot: Robot, mPerS: number): number | null;
  /** What has to be done where it was not measured. */
  lacks: string;
  /** Whether it is a share of power: how fast that drives follows load and battery, and is timed. */
  isPower: boolean;
  /** Where turning is told as a rate of the robot, and not as speeds of its wheels: behind a number of it. */
  turnUnit?: string;
  /** As part of the sentence on how programs count. */
  words: string;
}

const byMotor = (
  unit: string,
  decimals: number,
  degreesPerUnit: number,
  words: string,
): CommandWay => ({
  unit,
  decimals,
  most: 1e6,
  speed: (robot, command) => distanceFromMotorDegrees(robot, command * degreesPerUnit),
  commanded: (robot, mPerS) => motorDegreesFromDistance(robot, mPerS) / degreesPerUnit,
  lacks: '',
  isPower: false,
  words,
});

const NOT_TIMED = 'not timed yet at such a power (time drives on the Bench: Speed at a power)';

/** A share of power, of which so much is all. */
const byPower = (unit: string, decimals: number, full: number, words: string): CommandWay => ({
  unit,
  decimals,
  most: full,
  speed: ({ program }, command) => speedAtPercent(program.speeds, (100 * command) / full),
  commanded: ({ program }, mPerS) => {
    const percent = percentForSpeed(program.speeds, mPerS);
    return percent === null ? null : (percent * full) / 100;
  },
  lacks: NOT_TIMED,
  isPower: true,
  words,
});

const MM_PER_M = 1000;

export const COMMAND_WAYS: Record<Command, CommandWay> = {
  percent: byPower('%', 0, 100, 'power in percent'),
  'power of -1 to 1': byPower('of 1', 2, 1, 'power from −1 to 1'),
  'degrees per second': byMotor('°/s of the motor', 0, 1, 'motors in degrees per second'),
  'rotations per second': byMotor('rotations/s', 2, 360, 'motors in rotations per second'),
  // Kits that know wheel and track are told how fast the robot goes and turns.
  'mm per second': {
    unit: 'mm/s',
    decimals: 0,
    most: 5 * MM_PER_M,
    speed: (_robot, command) => command / MM_PER_M,
    commanded: (_robot, mPerS) => mPerS * MM_PER_M,
    lacks: '',
    isPower: false,
    turnUnit: '°/s',
    words: 'speed in mm/s and turning in °/s',
  },
};

/** Whether programs give the motors a share of power. */
export const commandsPower = (command: Command | null): boolean =>
  command !== null && COMMAND_WAYS[command].isPower;

/** Behind a turning rate as programs have it, and behind a difference between the wheels. */
export const turnUnit = (command: Command): string =>
  COMMAND_WAYS[command].turnUnit ?? COMMAND_WAYS[command].unit;
