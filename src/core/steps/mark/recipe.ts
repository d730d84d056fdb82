import { seconds } from '../../recipe/figure';
import type { RecipeOf } from '../recipeOf';
import { standsS } from '.';
import type { MarkStep } from './description';

export const markRecipe: RecipeOf<MarkStep> = (step, { isMeanwhile }) =>
  standsS(step) === 0 || isMeanwhile === true
    ? null
    : {
        name: 'work a mission',
        parameters: { SECONDS: seconds(standsS(step)) },
        lines: ['stop both motors', 'wait SECONDS'],
      };
