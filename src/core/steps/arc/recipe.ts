import { profileAcceleration } from '../../control/straight/profile';
import { figure, typed } from '../../recipe/figure';
import { leaveIf, limitLines, motionLines } from '../../recipe/loops';
import { speedFigure } from '../../recipe/motors';
import { startSlowly, trapezoidLines } from '../../recipe/profile';
import { significantDecimals } from '../../recipe/significant';
import { headingGain, steerByHeading } from '../../recipe/steering';
import { direction, headingAtStart, limitOf, type RecipeOf } from '../recipeOf';
import type { ArcStep } from './description';

const short = (value: number): string => typed(value, significantDecimals(value));

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
  return {
    name: `drive an arc of ${short(radiusM * 1000)} mm`,
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
        ...leaveIf(`DONE >= LENGTH - ${short(rollsOn)} * ROLLING`),
        ...limitLines(step.onTimeout === 'go-on'),
        'set LEFT OVER to largest of (0, LENGTH - DONE)',
        ...trapezoidLines(program, law, profileAcceleration(robot) / outer, fastest),
        `set ROLLING to ROLLING + ${short(follows)} * (NOW - ${short(law.atRest)} - ROLLING)`,
        'set WANTED to HEADING + ANGLE * DONE / LENGTH',
        `set STEER to 2 * CURVE * (NOW - ${short(law.atRest)}) + ${steerByHeading(program, 'WANTED')}`,
        program.run('(DIRECTION * NOW - STEER / 2)', '(DIRECTION * NOW + STEER / 2)'),
      ],
      interrupts,
      program.loop,
    ),
  };
};
