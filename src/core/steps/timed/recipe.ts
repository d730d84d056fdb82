import { leaveIf, motionLines } from '../../recipe/loops';
import { speedFigure } from '../../recipe/motors';
import { seconds } from '../../recipe/figure';
import type { RecipeOf } from '../recipeOf';
import { wheelsOf } from '.';
import type { TimedStep } from './description';

export const timedRecipe: RecipeOf<TimedStep> = (step, { program, interrupts }) => {
  const { leftMPerS: left, rightMPerS: right } = wheelsOf(step, program.robot);
  const law = program.law(Math.max(Math.abs(left), Math.abs(right)) || 1);
  return {
    name: 'drive for a time',
    parameters: {
      SECONDS: seconds(step.seconds),
      LEFT: speedFigure(law, left),
      RIGHT: speedFigure(law, right),
    },
    lines: motionLines(
      [],
      [...leaveIf('timer >= SECONDS'), program.run('LEFT', 'RIGHT')],
      interrupts,
      program.loop,
    ),
  };
};
