import { seconds } from '../../recipe/figure';
import { leaveIf, limitLines, motionLines } from '../../recipe/loops';
import { speedFigure } from '../../recipe/motors';
import { speedUp, startSlowly } from '../../recipe/profile';
import { direction, limitOf, type RecipeOf } from '../recipeOf';
import { pressedS } from '.';
import type { SquareUpStep } from './description';

export const squareUpRecipe: RecipeOf<SquareUpStep> = (step, making) => {
  const { planned, program, interrupts } = making;
  const law = program.law(step.speedMPerS);
  const isLimited = step.timeoutS !== undefined;
  return {
    name: `press against the wall${isLimited ? ', within a time' : ''}`,
    parameters: {
      SECONDS: seconds(pressedS(planned)),
      DIRECTION: direction(step.back),
      SPEED: speedFigure(law, step.speedMPerS),
      ...(isLimited && { LIMIT: limitOf(making) }),
    },
    lines: motionLines(
      [startSlowly(law)],
      [
        ...(isLimited ? limitLines(step.onTimeout) : []),
        ...leaveIf('timer >= SECONDS'),
        speedUp(program, law),
        program.run('DIRECTION * NOW', 'DIRECTION * NOW'),
      ],
      interrupts,
      program.loop,
    ),
  };
};
