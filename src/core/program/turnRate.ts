import { degreesFromRadians, radiansFromDegrees } from '../geometry/angle';
import type { Robot } from '../robot/robot';
import { COMMAND_WAYS } from './commands';
import type { Command } from '../robot/programWays';

/** Both wheels turn against each other, or one of them stands. */
export type TurnKind = 'spin' | 'pivot';

/** How fast each wheel that turns rolls for the robot to turn at 1 rad/s. */
const leverM = ({ trackM }: Robot, kind: TurnKind): number =>
  kind === 'spin' ? trackM / 2 : trackM;

/**
 * The turning rate of a robot whose program gives its motors such a command, rad/s: wheel speed over half the
 * track for a spin, over the track for a pivot; or the rate itself, where programs are told that.
 *
 * @returns null where the speed was not measured
 */
export function rateFromCommand(
  robot: Robot,
  kind: TurnKind,
  way: Command,
  command: number,
): number | null {
  if (COMMAND_WAYS[way].turnUnit !== undefined) return radiansFromDegrees(command);
  const mPerS = COMMAND_WAYS[way].speed(robot, command);
  return mPerS === null ? null : mPerS / leverM(robot, kind);
}

/**
 * A rate for a power that nobody has timed: that of the record's top speed at full power, in proportion. Turns with
 * one power count together by it; how fast they truly are it does not say.
 */
export const roughRate = (robot: Robot, kind: TurnKind, percent: number): number =>
  ((percent / 100) * robot.motors.maxSpeedMPerS) / leverM(robot, kind);

/** The power for such a rate; the inverse of `roughRate`. */
export const roughPercent = (robot: Robot, kind: TurnKind, rateRadPerS: number): number =>
  (100 * rateRadPerS * leverM(robot, kind)) / robot.motors.maxSpeedMPerS;

/** The command for a turning rate; the inverse of `rateFromCommand`. */
export const commandFromRate = (
  robot: Robot,
  kind: TurnKind,
  way: Command,
  rateRadPerS: number,
): number | null =>
  COMMAND_WAYS[way].turnUnit === undefined
    ? COMMAND_WAYS[way].commanded(robot, rateRadPerS * leverM(robot, kind))
    : degreesFromRadians(rateRadPerS);
