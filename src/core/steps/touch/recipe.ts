import { leaveIf } from '../../recipe/loops';
import { heldByHeading } from '../../recipe/steering';
import { driveUntil } from '../../recipe/untilRead';
import { direction, headingAtStart, limitOf, withoutUnit, type RecipeOf } from '../recipeOf';
import { unitNamed } from '../unitNamed';
import { STALL, type TouchStep } from './description';

export const touchRecipe: RecipeOf<TouchStep> = (step, making) => {
  const { program, interrupts } = making;
  const unit = unitNamed(program.robot, 'touch sensor', step.sensor);
  if (unit === null && step.sensor !== STALL) return withoutUnit('drive until it touches');
  const law = program.law(step.speedMPerS);
  const felt = unit === null ? 'both motors are held' : `${program.read(unit, 'touch')} is pressed`;
  return driveUntil(
    program,
    {
      name: `drive until ${felt}`,
      speedMPerS: step.speedMPerS,
      law,
      kept: heldByHeading(program, law, step.gainMPerSPerRad, headingAtStart(making)),
      direction: direction(step.back),
      limit: limitOf(making),
      fromMPerS: making.planned.fromMPerS,
      onTimeout: step.onTimeout,
      parameters: {},
      before: [],
      ends: leaveIf(felt),
      slows: [],
    },
    interrupts,
  );
};
