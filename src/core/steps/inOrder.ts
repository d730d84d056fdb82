import { isOwner, type MotionStep, type Step } from './descriptions';
import { ownerKindOf } from './registry';
import type { NumberedStep } from './tree';

/** A motion as the robot makes it: which step of the route it is, and for which time. */
export interface Run extends NumberedStep {
  step: MotionStep;
}

/** The motions of a list in the order in which the robot makes them, each as often as it is made. */
export const inOrder = (
  steps: readonly Step[],
  before = '',
  within: readonly string[] = [],
): Run[] =>
  steps.flatMap((step, i): Run[] => {
    const number = `${before}${i + 1}`;
    if (!isOwner(step)) return [{ step, number, within }];
    const inner = inOrder(step.steps, `${number}.`, [...within, step.id]);
    return ownerKindOf(step).inOrder(step, inner);
  });

/** How many motions the robot makes for a list; told without making a list of them. */
export const motionsMade = (steps: readonly Step[]): number =>
  steps.reduce(
    (sum, step) =>
      sum +
      (isOwner(step)
        ? ownerKindOf(step).inOrder(step, [null]).length * motionsMade(step.steps)
        : 1),
    0,
  );
