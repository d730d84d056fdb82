import { branchesOf, isOwner, type MotionStep, type Step } from './descriptions';
import { ownerKindOf } from './registry';
import { listsWithin, numberedAt, ROUTE_LIST, type ListPlace, type NumberedStep } from './tree';

/** A motion as the robot makes it: which step of the route it is, and for which time. */
export interface Run extends NumberedStep {
  step: MotionStep;
}

function* runsOf(steps: readonly Step[], list: ListPlace): Generator<Run> {
  for (const [i, step] of steps.entries()) {
    if (!isOwner(step)) yield numberedAt(step, i, list);
    else {
      const lists = listsWithin({ ...numberedAt(step, i, list), step });
      const made = (name: string) => {
        const branch = lists.find(({ at }) => at.join('.') === name);
        return branch === undefined ? [] : runsOf(branch.steps, branch.place);
      };
      yield* ownerKindOf(step).inOrder<Run>(step, made);
    }
  }
}

/** The motions of a list in the order in which the robot makes them, each as often as it is made. */
export const inOrder = (steps: readonly Step[]): Run[] => [...runsOf(steps, ROUTE_LIST)];

/** How many motions the robot makes for a list at most; told without making a list of them. */
export const motionsMade = (steps: readonly Step[]): number =>
  steps.reduce((sum, step) => {
    if (!isOwner(step)) return sum + 1;
    const inner = branchesOf(step).reduce((all, branch) => all + motionsMade(branch.steps), 0);
    return sum + ownerKindOf(step).times(step) * inner;
  }, 0);
