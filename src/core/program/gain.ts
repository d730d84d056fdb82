import { degreesFromRadians, radiansFromDegrees } from '../geometry/angle';
import type { Robot } from '../robot';
import { COMMAND_WAYS } from './commands';
import type { Command } from './profile';

/** So far about the speed the slope of a speed table is looked at. */
const NEAR = 0.02;

/**
 * How much of a program's command one metre a second between the wheels is worth about a speed: by power, a command is worth another
 * speed there than elsewhere.
 *
 * @returns null where the speed was not measured about there
 */
export function commandPerMPerS(robot: Robot, way: Command, mPerS: number): number | null {
  const { told, turnUnit } = COMMAND_WAYS[way];
  // A difference between the wheels turns the robot: at so many degrees a second for each metre a second of it.
  if (turnUnit !== undefined) return degreesFromRadians(1 / robot.trackM);
  const [slower, faster] = [told(robot, mPerS * (1 - NEAR)), told(robot, mPerS * (1 + NEAR))];
  return slower === null || faster === null ? null : (faster - slower) / (2 * NEAR * mPerS);
}

/**
 * A gain of steering, m/s of wheel difference for a radian of heading error, as programs have it: how much of
 * their command for a degree.
 *
 * @param mPerS the speed at which it drives
 * @returns null where the speed was not measured about there
 */
export function gainInProgram(
  robot: Robot,
  way: Command,
  gainMPerSPerRad: number,
  mPerS: number,
): number | null {
  const each = commandPerMPerS(robot, way, mPerS);
  return each && each * gainMPerSPerRad * radiansFromDegrees(1);
}
