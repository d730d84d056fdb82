import { profileAcceleration } from '../../control/straight/profile';
import { kindOfStep } from '../../steps/registry';
import { benchLength, benchSpeed } from '../../text/quantities';
import type { Check } from './check';

/** What is told to roll on has something to roll into. */
export const joinsNothing: Check = ({ step, rollsOut }) => {
  const wants = 'joins' in step && step.joins === true;
  if (!wants || rollsOut === true) return [];
  const { joins: _, ...stopping } = step;
  return [
    {
      problem: 'joins-nothing',
      sentence:
        'The robot stops here all the same: it rolls on only into a step that drives on the same way, and where no condition ends this one.',
      mend: { words: 'Stop here', step: stopping },
    },
  ];
};

/** What comes rolling comes to rest within its way. */
export const tooShortToStop: Check = ({ step, fromMPerS, rollsOut }, { robot }) => {
  const told = kindOfStep(step).byEncoders?.(step);
  if (told === undefined || fromMPerS === undefined || rollsOut === true) return [];
  const wayM = Math.abs(told.distanceM);
  const stopsInM =
    fromMPerS ** 2 / (2 * profileAcceleration(robot)) + fromMPerS * robot.motors.lagS;
  if (stopsInM <= wayM) return [];
  return [
    {
      problem: 'too-short-to-stop',
      sentence: `It comes rolling at ${benchSpeed(fromMPerS)}, and cannot stop within ${benchLength(wayM)}: it would end further on. Make it longer, or the step before slower.`,
    },
  ];
};
