import { meantByPower } from '../program/byPower';
import { COMMAND_WAYS } from '../program/commands';
import type { Robot } from '../robot/robot';
import { figure, typed } from './figure';
import type { Figure } from './lines';

/** How a wheel's speed is told to its motor: `atRest + perMPerS · speed`, for a wheel that rolls forward. */
export interface CommandLaw {
  /** Power that does not yet move it (dead band); 0 where speeds are told. */
  atRest: number;
  perMPerS: number;
  unit: string;
  decimals: number;
}

const MM_PER_M = 1000;
/** What is told of each wheel where nobody has said how programs command the motors, and where the kit is told mm/s. */
const IN_MM: CommandLaw = { atRest: 0, perMPerS: MM_PER_M, unit: 'mm/s', decimals: 2 };
/** About a speed that was timed the slope is looked at so far to either side. */
const NEAR = 0.02;

/** By power: as drives were timed at a share of it, or between those that the record has. */
function lawByPower(
  robot: Robot,
  full: number,
  about: number,
): Omit<CommandLaw, 'unit' | 'decimals'> | null {
  const { power } = robot.measured;
  if (power !== null) {
    const perShare = meantByPower(robot, 1) ?? 0;
    const perMPerS = (full * (1 - power.deadBand)) / perShare;
    return { atRest: full * power.deadBand, perMPerS };
  }
  const { command } = robot.program;
  if (command === null) return null;
  const told = (mPerS: number) => COMMAND_WAYS[command].commanded(robot, mPerS);
  const [low, high] = [told(about * (1 - NEAR)), told(about * (1 + NEAR))];
  if (low === null || high === null) return null;
  const perMPerS = (high - low) / (2 * NEAR * about);
  return { atRest: (low + high) / 2 - perMPerS * about, perMPerS };
}

/**
 * How programs command wheel speeds about a speed.
 *
 * @returns that of wheel speeds in mm/s where nobody has said, or timed, how they are commanded
 */
export function commandLaw(robot: Robot, aboutMPerS: number): CommandLaw {
  const { command } = robot.program;
  if (command === null) return IN_MM;
  const way = COMMAND_WAYS[command];
  if (way.turnUnit !== undefined) return IN_MM;
  const shown = { unit: way.unit, decimals: way.decimals + (way.isPower ? 2 : 1) };
  if (!way.isPower) {
    return { atRest: 0, perMPerS: way.commanded(robot, 1) ?? 0, ...shown };
  }
  const law = lawByPower(robot, way.most, aboutMPerS);
  return law === null ? IN_MM : { ...law, ...shown };
}

/** The number for a wheel's speed, backwards negative. */
export const commandFor = ({ atRest, perMPerS }: CommandLaw, mPerS: number): number =>
  mPerS === 0 ? 0 : Math.sign(mPerS) * (atRest + perMPerS * Math.abs(mPerS));

/** A wheel's speed as it is typed. */
export const speedFigure = (law: CommandLaw, mPerS: number): Figure =>
  figure(commandFor(law, mPerS), law.decimals, law.unit);

/** What is taken with the sign that a robot's part has. */
export const signed = (sign: 1 | -1, expression: string): string => {
  if (sign === 1) return expression;
  return /^(\w+|\([^()]*\))$/.test(expression) ? `-${expression}` : `-(${expression})`;
};

const DEGREES_PER_RAD = 180 / Math.PI;

/**
 * The line that runs both motors, from what the wheels are to do, forward positive: each motor by itself, with the sign
 * that turns it forward; or how fast the robot goes and turns, where its kit is told that.
 */
export function runLine(
  robot: Robot,
  names: { left: string; right: string },
  left: string,
  right: string,
): string {
  const { signs, program, trackM } = robot;
  if (program.command !== null && COMMAND_WAYS[program.command].turnUnit !== undefined) {
    const perMm = (-program.turnSign * DEGREES_PER_RAD) / (MM_PER_M * trackM);
    const speed = signed(program.forwardSign, `(${left} + ${right}) / 2`);
    return `drive at ${speed}, turning at ${typed(perMm, 5)} * (${right} - (${left}))`;
  }
  return `run ${names.left} at ${signed(signs.leftMotor, left)}, ${names.right} at ${signed(signs.rightMotor, right)}`;
}
