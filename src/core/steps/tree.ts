import { withBranch, type Branch } from './branch';
import {
  branchesOf,
  isOwner,
  MOTION_DESCRIPTIONS,
  type MotionStep,
  type OwnerStep,
  type Step,
} from './descriptions';

/** Where a step stands in its route: its place in the list, the list within the step there and the place in that, … */
export type StepPath = readonly (number | string)[];

/** A step of a route with its number there: "4.2" is the second within the fourth, "4b.2" that of its second list. */
export interface NumberedStep {
  step: Step;
  number: string;
  path: StepPath;
  /** The ids of the steps that it stands within, the outermost first. */
  within: readonly string[];
}

/** Where a list begins: the numbers and paths of its steps follow from it. */
export interface ListPlace {
  before: string;
  path: StepPath;
  within: readonly string[];
  isSingle?: true;
}

/** The list of a route itself. */
export const ROUTE_LIST: ListPlace = { before: '', path: [], within: [] };

const FIRST_LETTER = 'a'.charCodeAt(0);

/** The number of one of the lists of a step: the step's own, with a letter where there are several. */
export const numberOfList = (number: string, lists: readonly Branch[], i: number): string =>
  lists.length === 1 ? number : number + String.fromCharCode(FIRST_LETTER + i);

/** Where each list of a step begins. */
export const listsWithin = ({ step, number, path, within }: NumberedStep & { step: OwnerStep }) =>
  branchesOf(step).map((branch, i, all) => ({
    ...branch,
    place: {
      before: `${numberOfList(number, all, i)}.`,
      path: [...path, ...branch.at],
      within: [...within, step.id],
      ...(branch.isSingle === true && { isSingle: true as const }),
    },
  }));

/** A step of a list with its number. */
export const numberedAt = <S extends Step>(
  step: S,
  i: number,
  { before, path, within, isSingle }: ListPlace,
) => ({
  step,
  number: `${before}${i + 1}`,
  path: isSingle === true ? path : [...path, i],
  within,
});

/** Whether a step of a kind may stand in one of the lists of a step. */
export const fits = ({ isSingle, takes }: Branch, kind: Step['kind']): boolean =>
  isSingle === true ? kind in MOTION_DESCRIPTIONS : (takes?.includes(kind) ?? true);

/** Every step of a list once, one that owns steps before those. */
export const numbered = (steps: readonly Step[], list: ListPlace = ROUTE_LIST): NumberedStep[] =>
  steps.flatMap((step, i) => {
    const one = numberedAt(step, i, list);
    if (!isOwner(step)) return [one];
    const inner = listsWithin({ ...one, step });
    return [one, ...inner.flatMap((branch) => numbered(branch.steps, branch.place))];
  });

/** Every motion of a list once, however often it is run. */
export const motionsOf = (steps: readonly Step[]): MotionStep[] =>
  steps.flatMap((step) =>
    isOwner(step) ? branchesOf(step).flatMap((branch) => motionsOf(branch.steps)) : [step],
  );

/** A step with each of its lists changed. */
export const withLists = (
  step: OwnerStep,
  change: (steps: readonly Step[], branch: Branch) => readonly Step[],
): OwnerStep =>
  branchesOf(step).reduce(
    (changed, branch) => withBranch(changed, branch, change(branch.steps, branch)),
    step,
  );

/** The list with each of its motions changed. */
export const withMotions = (
  steps: readonly Step[],
  change: (step: MotionStep) => MotionStep,
): Step[] =>
  steps.map((step) =>
    isOwner(step) ? withLists(step, (inner) => withMotions(inner, change)) : change(step),
  );
