import type { RecipeOf } from '../recipeOf';
import type { SetHeadingStep } from './description';

/** All of it is what the program takes its heading for afterwards. */
export const setHeadingRecipe: RecipeOf<SetHeadingStep> = () => null;
