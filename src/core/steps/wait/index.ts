import { endingWhen } from '../../control/condition';
import { rest } from '../../control/rest';
import type { Robot } from '../../robot/robot';
import type { Leg, StepKind } from '../kind';
import { watchedOf } from '../condition/watched';
import { rehearsed } from '../rehearsed';
import type { WaitStep } from './description';

/** Within so much of its whole time it was not ended by what is read. */
const ALL_OF_IT_S = 0.02;

function control(step: WaitStep, leg: Leg, robot: Robot) {
  if (step.start === true) return rest(0);
  const standing = rest(step.seconds);
  return step.until === undefined
    ? standing
    : endingWhen(standing, watchedOf(step.until, leg, robot));
}

export const wait: StepKind<WaitStep> = {
  needs: () => [],
  endsByItself: true,
  group: 'work',
  isOffered: () => true,
  asAdded: () => ({ kind: 'wait', seconds: 1 }),
  plan(step, from, robot, table) {
    const seconds = step.start === true ? 0 : step.seconds;
    const stays = { to: from, distanceM: 0, angleRad: 0, timeoutS: seconds };
    if (step.until === undefined || step.start === true)
      return { ...stays, durationS: seconds, problems: [] };
    const { durationS, problems } = rehearsed(
      (leg, exact) => control(step, leg, exact),
      from,
      robot,
      table,
      { never: 'never-ends' },
    );
    const isEnded = problems.length > 0 || durationS < seconds - ALL_OF_IT_S;
    return { ...stays, durationS, problems: isEnded ? problems : ['waits-all-the-time'] };
  },
  control,
  drives: false,
  inProgram: {
    leaves: ({ start, until, seconds }) =>
      start === true
        ? [{ by: 'start' }]
        : until === undefined
          ? []
          : [
              { by: 'condition', condition: until },
              { by: 'time', seconds },
            ],
  },
};
