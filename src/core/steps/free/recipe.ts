import { figure, seconds } from '../../recipe/figure';
import type { RecipeOf } from '../recipeOf';
import type { FreeStep } from './description';

const MM_PER_M = 1000;
const DEGREES_PER_RAD = 180 / Math.PI;

/** Corvat does not know what is typed for it; where the robot stands then it was told. */
export const freeRecipe: RecipeOf<FreeStep> = ({
  words,
  alongM,
  acrossM,
  headingRad,
  seconds: s,
}) => ({
  name: `your own: ${words.replace(/[\s:;,()=]+/g, ' ').trim()}`,
  parameters: {
    AHEAD: figure(alongM * MM_PER_M, 1, 'mm'),
    'TO THE LEFT': figure(acrossM * MM_PER_M, 1, 'mm'),
    'TURNED LEFT': figure(headingRad * DEGREES_PER_RAD, 2, '°'),
    SECONDS: seconds(s),
  },
  lines: [
    'stop both motors',
    'your own lines: it then stands AHEAD, TO THE LEFT, TURNED LEFT of where it was',
    'wait SECONDS',
  ],
});
