import { profileAcceleration } from '../../control/straight/profile';
import { figure } from '../../recipe/figure';
import { leaveIf, limitLines, motionLines } from '../../recipe/loops';
import { speedFigure } from '../../recipe/motors';
import { startSlowly, trapezoidLines } from '../../recipe/profile';
import { significant } from '../../recipe/significant';
import { headingGain, steerByHeading } from '../../recipe/steering';
import { direction, headingAtStart, limitOf, type RecipeOf } from '../recipeOf';
import type { ArcStep } from './description';

export const arcRecipe: RecipeOf<ArcStep> = (step, making) => {
  const { program, interrupts } = making;
  const { robot, perM } = program;
  const { radiusM, angleRad, back, speedMPerS, gainMPerSPerRad } = step;
  if (angleRad === 0) return null;
  const outer = 1 + robot.trackM / (2 * radiusM);
  const fastest = Math.min(speedMPerS, robot.motors.maxSpeedMPerS / outer);
  const law = program.law(fastest);
  const lengthM = radiusM * Math.abs(angleRad);
  const { lagS } = robot.motors;
  const follows = 1 - Math.exp(-robot.loopPeriodS / lagS);
  // Per unit of what the motors are told, as their counts go.
  const rollsOn = (lagS * perM) / law.perMPerS;
  const curve = (robot.program.headingScale * angleRad * robot.trackM) / (2 * lengthM);
  // In an arc tighter than half the track the inner wheel goes backwards, and its dead band lies on the other side.
  const isBackwards = law.atRest !== 0 && radiusM < robot.trackM / 2;
  const isLeftInner = angleRad > 0 !== back;
  const told = (isInner: boolean) =>
    isInner && isBackwards ? `(NOW - ${significant(2 * law.atRest)})` : 'NOW';
  return {
    name: `drive an arc of ${significant(radiusM * 1000)} mm`,
    parameters: {
      LENGTH: program.travel(lengthM),
      DIRECTION: direction(back),
      SPEED: speedFigure(law, fastest),
      HEADING: program.angle(headingAtStart(making)),
      ANGLE: program.angle(angleRad),
      CURVE: figure(curve, 5, ''),
      GAIN: headingGain(program, law, gainMPerSPerRad),
      LIMIT: limitOf(making),
    },
    lines: motionLines(
      [...program.countFromHere, startSlowly(law), 'set ROLLING to 0'],
      [
        `set DONE to DIRECTION * ${program.way}`,
        ...leaveIf(`DONE >= LENGTH - ${significant(rollsOn)} * ROLLING`),
        ...limitLines(step.onTimeout),
        'set LEFT OVER to largest of (0, LENGTH - DONE)',
        ...trapezoidLines(program, law, profileAcceleration(robot) / outer, fastest),
        `set ROLLING to ROLLING + ${significant(follows)} * (NOW - ${significant(law.atRest)} - ROLLING)`,
        'set WANTED to HEADING + ANGLE * DONE / LENGTH',
        `set STEER to 2 * CURVE * (NOW - ${significant(law.atRest)}) + ${steerByHeading(program, 'WANTED')}`,
        program.run(
          `(DIRECTION * ${told(isLeftInner)} - STEER / 2)`,
          `(DIRECTION * ${told(!isLeftInner)} + STEER / 2)`,
        ),
      ],
      interrupts,
      program.loop,
    ),
  };
};
