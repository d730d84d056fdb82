import type { Recipe } from '../recipe/lines';
import { approachRecipe } from '../steps/approach/recipe';
import { arcRecipe } from '../steps/arc/recipe';
import { attachmentRecipe } from '../steps/attachment/recipe';
import type { MotionStep } from '../steps/descriptions';
import { followLineRecipe } from '../steps/followLine/recipe';
import { followWallRecipe } from '../steps/followWall/recipe';
import { freeRecipe } from '../steps/free/recipe';
import { markRecipe } from '../steps/mark/recipe';
import type { Making, RecipeOf } from '../steps/recipeOf';
import { setHeadingRecipe } from '../steps/setHeading/recipe';
import { squareOnLineRecipe } from '../steps/squareOnLine/recipe';
import { squareUpRecipe } from '../steps/squareUp/recipe';
import { straightRecipe } from '../steps/straight/recipe';
import { timedRecipe } from '../steps/timed/recipe';
import { toLineRecipe } from '../steps/toLine/recipe';
import { touchRecipe } from '../steps/touch/recipe';
import { turnRecipe } from '../steps/turn/recipe';
import { waitRecipe } from '../steps/wait/recipe';

/** How every kind of motion is typed. */
const RECIPES: {
  [K in MotionStep['kind']]: RecipeOf<Extract<MotionStep, { kind: K }>>;
} = {
  straight: straightRecipe,
  turn: turnRecipe,
  arc: arcRecipe,
  timed: timedRecipe,
  approach: approachRecipe,
  touch: touchRecipe,
  'square-up': squareUpRecipe,
  'to-line': toLineRecipe,
  'square-on-line': squareOnLineRecipe,
  'follow-line': followLineRecipe,
  'follow-wall': followWallRecipe,
  attachment: attachmentRecipe,
  mark: markRecipe,
  wait: waitRecipe,
  'set-heading': setHeadingRecipe,
  free: freeRecipe,
};

/** How a step is typed; null: nothing is. */
export const recipeFor = (step: MotionStep, making: Making): Recipe | null =>
  (RECIPES[step.kind] as RecipeOf<MotionStep>)(step, making);
