import { figure } from '../../recipe/figure';
import { leaveIf } from '../../recipe/loops';
import { heldByHeading } from '../../recipe/steering';
import { driveUntil } from '../../recipe/untilRead';
import { countLines } from '../lineLines';
import { direction, headingAtStart, limitOf, withoutUnit, type RecipeOf } from '../recipeOf';
import { sensorOf } from '.';
import type { ToLineStep } from './description';

export const toLineRecipe: RecipeOf<ToLineStep> = (step, making) => {
  const { program, interrupts } = making;
  const unit = sensorOf(step, program.robot);
  if (unit === null) return withoutUnit('drive to a line');
  const law = program.law(step.speedMPerS);
  const lines = countLines(program, unit, step.darker, step.on);
  const which = step.on === 'entering' ? 'comes onto' : 'comes off';
  return driveUntil(
    program,
    {
      name: `drive until ${program.read(unit, 'light')} ${which} a line`,
      speedMPerS: step.speedMPerS,
      law,
      kept: heldByHeading(program, law, step.gainMPerSPerRad, headingAtStart(making)),
      direction: direction(step.back),
      limit: limitOf(making),
      fromMPerS: making.planned.fromMPerS,
      onTimeout: step.onTimeout,
      parameters: { COUNT: figure(step.count, 0, ''), ...lines.parameters },
      before: lines.before,
      ends: [...lines.each, ...leaveIf('SEEN >= COUNT')],
      slows: [],
    },
    interrupts,
  );
};
