import type { PlannedStep } from '../../course/plan';
import type { Robot } from '../../robot/robot';
import { neededBy } from '../../steps/neededBy';
import { kindOfStep } from '../../steps/registry';
import type { Check } from './check';

const isSet = ({ step }: PlannedStep, robot: Robot): boolean =>
  kindOfStep(step).takesHeading?.(step, robot) !== undefined;

/** A sensor that keeps its heading over the start of a program is told one before it is gone by. */
export const headingNeverSet: Check = (planned, { plan, robot }) => {
  if (robot.build.startZeroesHeading !== 'no') return [];
  const goesBy = (one: PlannedStep) =>
    !isSet(one, robot) && neededBy(one.step).includes('heading sensor');
  const first = plan.find((one) => isSet(one, robot) || goesBy(one));
  if (first === undefined || first.step.id !== planned.step.id || !goesBy(first)) return [];
  const { headingRad } = planned.from;
  return [
    {
      problem: 'heading-never-set',
      sentence:
        'This program goes by the heading, and nobody has set it: starting it does not zero this sensor.',
      mend: {
        words: 'Set the heading before',
        step: planned.step,
        before: { id: `${planned.step.id}h`, kind: 'set-heading', headingRad },
      },
    },
  ];
};
