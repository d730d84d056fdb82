import { seconds } from '../../recipe/figure';
import { leaveIf, loopOf } from '../../recipe/loops';
import type { Recipe } from '../../recipe/lines';
import type { RecipeOf } from '../recipeOf';
import type { WaitStep } from './description';

export const waitRecipe: RecipeOf<WaitStep> = (step, { program, interrupts }) => {
  if (step.start === true) {
    const none: Recipe['parameters'] = {};
    const lines = ['stop both motors', 'wait for the start signal'];
    return { name: 'wait for the start', parameters: none, lines };
  }
  if (step.seconds === 0) return null;
  const isEnded = interrupts.each.length > 0;
  return {
    name: 'stand still',
    parameters: { SECONDS: seconds(step.seconds) },
    lines: [
      'stop both motors',
      ...(isEnded
        ? [
            'restart the timer',
            ...interrupts.before,
            ...loopOf([...interrupts.each, ...leaveIf('timer >= SECONDS')], program.loop),
          ]
        : ['wait SECONDS']),
    ],
  };
};
