import { isKept, type Way } from './way';

/** Deeper than this no route is read: its schema refuses it. */
const DEEPEST = 8;

/** The first name from a place on that no step has. */
const freeId = (place: number, taken: ReadonlySet<unknown>): string =>
  taken.has(`step-${place}`) ? freeId(place + 1, taken) : `step-${place}`;

function idsOf(steps: readonly unknown[], depth = 0): unknown[] {
  if (depth > DEEPEST) return [];
  return steps
    .filter(isKept)
    .flatMap(({ id, steps: inner }) => [
      id,
      ...(Array.isArray(inner) ? idsOf(inner, depth + 1) : []),
    ]);
}

/** The steps, each with an id; of two of one id the later gets another. */
function named(
  steps: readonly unknown[],
  taken: Set<unknown>,
  seen: Set<unknown>,
  depth = 0,
): unknown[] {
  return steps.map((step, i) => {
    if (!isKept(step)) return step;
    const id = seen.has(step.id) ? freeId(i + 1, taken) : step.id;
    taken.add(id);
    seen.add(id);
    const { steps: inner } = step;
    return Array.isArray(inner) && depth < DEEPEST
      ? { ...step, id, steps: named(inner, taken, seen, depth + 1) }
      : { ...step, id };
  });
}

/** Every step of a route can be told from the others. */
export const stepsWithIds: Way = {
  name: 'steps with ids',
  up(record) {
    const { steps } = record;
    if (!Array.isArray(steps)) return record;
    return { ...record, steps: named(steps, new Set(idsOf(steps)), new Set([undefined])) };
  },
};
