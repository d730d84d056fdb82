import { GAP_S } from '../../control/followUntil';
import { typed } from '../../recipe/figure';
import { leaveIf } from '../../recipe/loops';
import { followRecipe } from '../followLines';
import { withoutUnit, type RecipeOf } from '../recipeOf';
import { GAP_M, sensorOf, signOf } from '.';
import type { FollowWallStep } from './description';

export const followWallRecipe: RecipeOf<FollowWallStep> = (step, making) => {
  const { program } = making;
  const unit = sensorOf(step, program.robot);
  if (unit === null) return withoutUnit('follow a wall');
  const shown = program.read(unit, 'distance');
  const isThere = program.compare(unit, 'distance', 'below', 'GAP');
  return followRecipe(
    {
      name: `follow a wall with ${shown}${step.toEnd ? ', to its end' : ''}`,
      speedMPerS: step.speedMPerS,
      lengthM: step.lengthM,
      onTimeout: step.onTimeout,
      reading: shown,
      isRead: `${shown} shows something`,
      target: program.reading(unit, 'distance', step.keepM),
      gainRadPerSPerShown:
        (signOf(step) * step.gainRadPerSPerM) / program.slope(unit, 'distance', step.keepM),
      parameters: { GAP: program.reading(unit, 'distance', step.keepM + GAP_M) },
      // Since when there is no wall; -1: there is one.
      before: ['set GONE SINCE to -1'],
      ends: [
        'if GONE SINCE < 0:',
        ['set GONE SINCE to timer'],
        `if ${shown} shows something:`,
        [`if ${isThere}:`, ['set GONE SINCE to -1']],
        ...(step.toEnd
          ? leaveIf(`GONE SINCE >= 0 and timer - GONE SINCE >= ${typed(GAP_S, 2)}`)
          : []),
      ],
      straightOn: 'GONE SINCE >= 0',
    },
    making,
  );
};
