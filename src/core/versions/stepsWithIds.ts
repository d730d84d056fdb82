import { isKept, type Kept, type Way } from './way';

/** Deeper than this no route is read: its schema refuses it. */
const DEEPEST = 8;

/** The first name from a place on that no step has. */
const freeId = (place: number, taken: ReadonlySet<unknown>): string =>
  taken.has(`step-${place}`) ? freeId(place + 1, taken) : `step-${place}`;

/** Under these names a step holds others: lists, and lists by names of their own. */
const LISTS = ['steps', 'then', 'else', 'otherwise', 'up', 'down'];
const NAMED_LISTS = 'classes';
/** And one alone. */
const ONE = 'motion';

/** A step with each list in it changed. */
function withInner(step: Kept, change: (list: readonly unknown[]) => unknown[]): Kept {
  const changed = { ...step };
  for (const name of LISTS) {
    const list = step[name];
    if (Array.isArray(list)) changed[name] = change(list);
  }
  const named = step[NAMED_LISTS];
  if (isKept(named)) {
    changed[NAMED_LISTS] = Object.fromEntries(
      Object.entries(named).map(([name, list]) => [
        name,
        Array.isArray(list) ? change(list) : list,
      ]),
    );
  }
  if (isKept(step[ONE])) changed[ONE] = change([step[ONE]])[0];
  return changed;
}

function idsOf(steps: readonly unknown[], depth = 0): unknown[] {
  if (depth > DEEPEST) return [];
  return steps.filter(isKept).flatMap((step) => {
    const inner: unknown[] = [];
    withInner(step, (list) => {
      inner.push(...idsOf(list, depth + 1));
      return [];
    });
    return [step.id, ...inner];
  });
}

/** The steps, each with an id; of two of one id the later gets another. */
const named = (
  steps: readonly unknown[],
  taken: Set<unknown>,
  seen: Set<unknown>,
  depth = 0,
): unknown[] =>
  steps.map((step, i) => {
    if (!isKept(step) || depth > DEEPEST) return step;
    const id = seen.has(step.id) ? freeId(i + 1, taken) : step.id;
    taken.add(id);
    seen.add(id);
    return withInner({ ...step, id }, (list) => named(list, taken, seen, depth + 1));
  });

/** Every step of a route can be told from the others. */
export const stepsWithIds: Way = {
  name: 'steps with ids',
  up(record) {
    const { steps } = record;
    if (!Array.isArray(steps)) return record;
    return { ...record, steps: named(steps, new Set(idsOf(steps)), new Set([undefined])) };
  },
};
