import { CREEP_M_PER_S, PROFILE_SHARE } from '../control/settings';
import type { Robot } from '../robot/robot';
import type { Figure, Line } from './lines';
import { commandFor, speedFigure, type CommandLaw } from './motors';
import type { OwnProgram } from './ownProgram';
import { significant } from './significant';

/** So much more is told from one round of a loop to the next while it speeds up. */
export const rampPerRound = (
  { motors: { maxAccelerationMPerS2 }, loopPeriodS }: Robot,
  law: CommandLaw,
): number => PROFILE_SHARE * maxAccelerationMPerS2 * loopPeriodS * law.perMPerS;

/** Before a drive that speeds up slowly. */
export const startSlowly = (law: CommandLaw): Line => `set NOW to ${significant(law.atRest)}`;

/** Of a block that is called while the robot rolls. */
export const ROLLING_WORDS = ', rolling already';

/** Before a drive that begins as the robot stands, or rolls at ROLLING. */
export const beginAt = (law: CommandLaw, fromMPerS: number | undefined): Line =>
  fromMPerS === undefined ? startSlowly(law) : 'set NOW to ROLLING';

/** What a drive is told that begins as the robot rolls. */
export const rollingAt = (
  law: CommandLaw,
  fromMPerS: number | undefined,
): Record<string, Figure> => ({
  ...(fromMPerS !== undefined && { ROLLING: speedFigure(law, fromMPerS) }),
});

/** It speeds up to SPEED, and keeps it. */
export const speedUp = ({ robot }: OwnProgram, law: CommandLaw): Line =>
  `set NOW to smallest of (SPEED, NOW + ${significant(rampPerRound(robot, law))})`;

/** It speeds up, keeps its speed, and slows down before the end: by what is LEFT OVER of its way. */
export function trapezoidLines(
  { robot, perM }: OwnProgram,
  law: CommandLaw,
  accelMPerS2: number,
  speedMPerS: number,
): Line[] {
  const braking = law.perMPerS * Math.sqrt((2 * accelMPerS2) / perM);
  const early = law.perMPerS * accelMPerS2 * robot.motors.lagS - law.atRest;
  const least = commandFor(law, Math.min(CREEP_M_PER_S, speedMPerS));
  const ramp = accelMPerS2 * robot.loopPeriodS * law.perMPerS;
  return [
    `set NOW to smallest of (SPEED, NOW + ${significant(ramp)}, ${significant(braking)} * square root of (LEFT OVER) - ${significant(early)})`,
    `set NOW to largest of (NOW, ${significant(least)})`,
  ];
}
