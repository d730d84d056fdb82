import { seconds } from '../../recipe/figure';
import type { RecipeOf } from '../recipeOf';
import type { MarkStep } from './description';

export const markRecipe: RecipeOf<MarkStep> = ({ dwellS }, { isMeanwhile }) =>
  dwellS === 0 || isMeanwhile === true
    ? null
    : {
        name: 'work a mission',
        parameters: { SECONDS: seconds(dwellS) },
        lines: ['stop both motors', 'wait SECONDS'],
      };
