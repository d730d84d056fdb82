import type { Choice } from './choice';
import { branchesOf, isOwner, type MotionStep, type Step } from './descriptions';
import type { Reaction } from './reaction';
import { joinedAt, type Joined } from './joined';
import { ownerKindOf } from './registry';
import { listsWithin, numberedAt, ROUTE_LIST, type ListPlace, type NumberedStep } from './tree';

/** A motion as the robot makes it: which step of the route it is, and for which time. */
export interface Run extends NumberedStep, Joined {
  step: MotionStep;
  /** It stands and asks something: by the answer it goes on. */
  choice?: Choice;
  /** What is watched and done meanwhile. */
  reaction?: Reaction;
}

/** The motions of a list in the order in which they are made: each question is given its answer. */
type Walk = Generator<Run, void, string>;

/** While it looks, a robot stands: so its question is made, and counted, as a motion of the step that asks. */
const standing = (id: string): MotionStep => ({ id, kind: 'wait', seconds: 0 });

function* walk(steps: readonly Step[], list: ListPlace): Walk {
  for (const [i, step] of steps.entries()) {
    const one = numberedAt(step, i, list);
    if (!isOwner(step)) yield { ...one, step, ...joinedAt(steps, i) };
    else {
      const lists = listsWithin({ ...one, step });
      const made = function* (name: string): Walk {
        const branch = lists.find(({ at }) => at.join('.') === name);
        if (branch !== undefined) yield* walk(branch.steps, branch.place);
      };
      yield* ownerKindOf(step).inOrder<Run>(step, {
        made,
        *during(name, reaction) {
          const run = made(name).next('');
          if (run.done !== true) yield { ...run.value, reaction };
        },
        *ask(choice) {
          return yield { ...one, step: standing(step.id), choice };
        },
      });
    }
  }
}

/**
 * The motions of a route in the order in which the robot makes them, each as often as it is made.
 *
 * @param answer to each question, as it is come to
 */
export function* inOrderBy(
  steps: readonly Step[],
  answer: (run: Run & { choice: Choice }) => string,
): Generator<Run, void, undefined> {
  const made = walk(steps, ROUTE_LIST);
  let next = made.next();
  while (next.done !== true) {
    const run = next.value;
    yield run;
    const { choice } = run;
    next = made.next(choice === undefined ? '' : answer({ ...run, choice }));
  }
}

/** The same without a robot: each question is answered as it usually is. */
export const inOrder = (steps: readonly Step[]): Run[] => [
  ...inOrderBy(steps, ({ choice }) => choice.usual ?? ''),
];

/** How many motions the robot makes for a list at most; told without making a list of them. */
export const motionsMade = (steps: readonly Step[]): number =>
  steps.reduce((sum, step) => {
    if (!isOwner(step)) return sum + 1;
    const inner = branchesOf(step).reduce((all, branch) => all + motionsMade(branch.steps), 0);
    return sum + ownerKindOf(step).times(step) * inner;
  }, 0);
