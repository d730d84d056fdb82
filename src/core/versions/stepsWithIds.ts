import { isKept, type Way } from './way';

/** The first name from a place on that no step has. */
const freeId = (place: number, taken: ReadonlySet<unknown>): string =>
  taken.has(`step-${place}`) ? freeId(place + 1, taken) : `step-${place}`;

/** Every step of a route can be told from the others. */
export const stepsWithIds: Way = {
  name: 'steps with ids',
  up(record) {
    if (!Array.isArray(record.steps)) return record;
    const taken = new Set<unknown>(record.steps.filter(isKept).map(({ id }) => id));
    const seen = new Set<unknown>([undefined]);
    const steps = record.steps.map((step: unknown, i) => {
      if (!isKept(step)) return step;
      const id = seen.has(step.id) ? freeId(i + 1, taken) : step.id;
      taken.add(id);
      seen.add(id);
      return { ...step, id };
    });
    return { ...record, steps };
  },
};
