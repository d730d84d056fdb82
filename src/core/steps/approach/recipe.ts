import { LEAVE } from '../../recipe/loops';
import { speedFigure } from '../../recipe/motors';
import { heldByHeading } from '../../recipe/steering';
import { driveUntil } from '../../recipe/untilRead';
import { direction, headingAtStart, limitOf, withoutUnit, type RecipeOf } from '../recipeOf';
import { sensorOf, slowsAt } from '.';
import type { ApproachStep } from './description';

export const approachRecipe: RecipeOf<ApproachStep> = (step, making) => {
  const { program, interrupts } = making;
  const unit = sensorOf(step, program.robot);
  if (unit === null) return withoutUnit('drive up to something');
  const law = program.law(step.speedMPerS);
  const slows = slowsAt(step);
  const shows = (value: string) => program.compare(unit, 'distance', 'below', value);
  const heard = `if ${program.read(unit, 'distance')} shows something:`;
  return driveUntil(
    program,
    {
      name: `drive until ${program.read(unit, 'distance')} is near${slows === undefined ? '' : ', slower at its end'}`,
      speedMPerS: step.speedMPerS,
      law,
      kept: heldByHeading(program, law, step.gainMPerSPerRad, headingAtStart(making)),
      direction: direction(false),
      limit: limitOf(making),
      fromMPerS: making.planned.fromMPerS,
      onTimeout: step.onTimeout,
      parameters: {
        UNTIL: program.reading(unit, 'distance', Math.max(unit.behaviour.minM, step.thresholdM)),
        ...(slows && {
          'SLOW FROM': program.reading(unit, 'distance', slows.at),
          SLOW: speedFigure(law, slows.speedMPerS),
        }),
      },
      before: [],
      ends: [heard, [`if ${shows('UNTIL')}:`, [LEAVE]]],
      slows:
        slows === undefined ? [] : [heard, [`if ${shows('SLOW FROM')}:`, ['set SPEED to SLOW']]],
    },
    interrupts,
  );
};
