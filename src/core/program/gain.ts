import { degreesFromRadians, radiansFromDegrees } from '../geometry/angle';
import type { Robot } from '../robot/robot';
import { COMMAND_WAYS, turnUnit } from './commands';
import type { Command } from '../robot/programWays';
import { steeringPerMPerS } from './steering';

/** So far about the speed the slope of a speed table is looked at. */
const NEAR = 0.02;

/** In what programs count headings. */
export const ANGLE_UNITS = {
  degrees: { unit: '°', sizeRad: radiansFromDegrees(1) },
  radians: { unit: 'rad', sizeRad: 1 },
} as const;

/** What a program steers with. */
export interface Correction {
  /** Of it for one metre a second between the wheels. */
  perMPerS: number;
  unit: string;
}

/** How much of a command one metre a second is worth about a speed: by power it is worth another speed there than elsewhere. */
function commandPerMPerS(robot: Robot, way: Command, mPerS: number): number | null {
  const { commanded } = COMMAND_WAYS[way];
  const [slower, faster] = [
    commanded(robot, mPerS * (1 - NEAR)),
    commanded(robot, mPerS * (1 + NEAR)),
  ];
  return slower === null || faster === null ? null : (faster - slower) / (2 * NEAR * mPerS);
}

/**
 * What a robot's programs steer with at a speed, for one metre a second between its wheels: a turning rate, where they are
 * told one; a steering of −100 to 100, where they have it; else a difference between both commands.
 *
 * @returns null where nobody has said how they command the motors, or the speed was not measured about there
 */
export function correctionAt({ program, ...robot }: Robot, mPerS: number): Correction | null {
  const { command, steering } = program;
  if (command === null) return null;
  const unit = turnUnit(command);
  if (COMMAND_WAYS[command].turnUnit !== undefined) {
    return { perMPerS: degreesFromRadians(1 / robot.trackM), unit };
  }
  if (steering !== null) return { perMPerS: steeringPerMPerS(mPerS), unit: 'of steering' };
  const each = commandPerMPerS({ ...robot, program }, command, mPerS);
  return each === null ? null : { perMPerS: each, unit };
}

/**
 * A gain of steering, m/s of wheel difference for a radian of heading error, as programs have it: how much they steer for a
 * degree, or for a radian.
 *
 * @param mPerS the speed at which it drives
 * @returns null where it cannot be told, as of `correctionAt`
 */
export function gainInProgram(
  robot: Robot,
  gainMPerSPerRad: number,
  mPerS: number,
): { perAngle: number; unit: string; angle: string } | null {
  const correction = correctionAt(robot, mPerS);
  const { sizeRad, unit: angle } = ANGLE_UNITS[robot.program.angles];
  return (
    correction && {
      perAngle: correction.perMPerS * gainMPerSPerRad * sizeRad,
      unit: correction.unit,
      angle,
    }
  );
}
