import { motionLines } from '../../recipe/loops';
import { limitOf, type RecipeOf } from '../recipeOf';
import { angleOf, howOf } from '.';
import type { TurnStep } from './description';
import { byEncoders } from './typed/byEncoders';
import { proportional } from './typed/proportional';
import { stopEarly } from './typed/stopEarly';
import type { Turning, Way } from './typed/turning';
import { twoSpeed } from './typed/twoSpeed';

function wayOf(turning: Turning): Way {
  const { step, making } = turning;
  const how = howOf(step, step.leadRad, making.program.robot);
  switch (how.school) {
    case 'stop-early':
      return stopEarly(turning, how);
    case 'two-speed':
      return twoSpeed(turning, how);
    case 'encoder':
      return byEncoders(turning, how);
    case 'proportional':
      return proportional(turning, how);
  }
}

export const turnRecipe: RecipeOf<TurnStep> = (step, making) => {
  const { planned, program, zeroRad, interrupts } = making;
  const angleRad = angleOf(step, planned.from.headingRad);
  if (angleRad === 0) return null;
  const { rateRadPerS } = step;
  const law = program.law((rateRadPerS * program.robot.trackM) / 2);
  const toRad = planned.from.headingRad - zeroRad + angleRad;
  const turning = { step, making, law, angleRad, toRad };
  const way = wayOf(turning);
  const isToHeading = step.mode === 'to';
  const side = way.parameters.SIDE === undefined ? ` ${angleRad > 0 ? 'left' : 'right'}` : '';
  const about = {
    centre: '',
    'left-wheel': ' about the left wheel',
    'right-wheel': ' about the right wheel',
  };
  return {
    name: `turn${side}${isToHeading ? ' to a heading' : ''}${about[step.about ?? 'centre']}${way.words}`,
    parameters: { ...way.parameters, LIMIT: limitOf(making) },
    lines: motionLines(way.before, way.each, interrupts, program.loop),
  };
};
