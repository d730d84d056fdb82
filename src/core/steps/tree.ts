import { isOwner, type MotionStep, type Step } from './descriptions';

/** A step of a route with its number there: "4.2" is the second within the fourth. */
export interface NumberedStep {
  step: Step;
  number: string;
  /** The ids of the steps that it stands within, the outermost first. */
  within: readonly string[];
}

/** Every step of a list once, one that owns steps before those. */
export const numbered = (
  steps: readonly Step[],
  before = '',
  within: readonly string[] = [],
): NumberedStep[] =>
  steps.flatMap((step, i) => {
    const number = `${before}${i + 1}`;
    const inner = isOwner(step) ? numbered(step.steps, `${number}.`, [...within, step.id]) : [];
    return [{ step, number, within }, ...inner];
  });

/** Every motion of a list once, however often it is run. */
export const motionsOf = (steps: readonly Step[]): MotionStep[] =>
  steps.flatMap((step) => (isOwner(step) ? motionsOf(step.steps) : [step]));

/** The list with each of its motions changed. */
export const withMotions = (
  steps: readonly Step[],
  change: (step: MotionStep) => MotionStep,
): Step[] =>
  steps.map((step) =>
    isOwner(step) ? { ...step, steps: withMotions(step.steps, change) } : change(step),
  );
