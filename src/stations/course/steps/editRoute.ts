import type { Route } from '../../../core/course/route';
import { isOwner, type Step } from '../../../core/steps/descriptions';

/** Where a step stands, or is to stand: in whose list (null: the route's own), and at which place there. */
export interface Place {
  owner: string | null;
  index: number;
}

/** The steps with one list of them changed: the route's own, or that of a step. */
function withList(
  steps: readonly Step[],
  owner: string | null,
  change: (list: Step[]) => Step[],
): Step[] {
  if (owner === null) return change([...steps]);
  return steps.map((step) => {
    if (!isOwner(step)) return step;
    const inner = step.id === owner ? change(step.steps) : withList(step.steps, owner, change);
    return { ...step, steps: inner };
  });
}

const edited = (route: Route, owner: string | null, change: (list: Step[]) => Step[]): Route => ({
  ...route,
  steps: withList(route.steps, owner, change),
});

/** The place of a step; null where there is none of that id. */
export function placeOf(
  steps: readonly Step[],
  id: string,
  owner: string | null = null,
): Place | null {
  const index = steps.findIndex((step) => step.id === id);
  if (index >= 0) return { owner, index };
  for (const step of steps) {
    const place = isOwner(step) ? placeOf(step.steps, id, step.id) : null;
    if (place !== null) return place;
  }
  return null;
}

/** The list in which places of an owner are counted. */
export function listOf(steps: readonly Step[], owner: string | null): readonly Step[] {
  if (owner === null) return steps;
  const step = findStep(steps, owner);
  return step !== null && isOwner(step) ? step.steps : [];
}

export function findStep(steps: readonly Step[], id: string): Step | null {
  for (const step of steps) {
    if (step.id === id) return step;
    const inner = isOwner(step) ? findStep(step.steps, id) : null;
    if (inner !== null) return inner;
  }
  return null;
}

/** The route with a step in place of the one that has its id. */
export function replaceStep(route: Route, step: Step): Route {
  const place = placeOf(route.steps, step.id);
  return place === null
    ? route
    : edited(route, place.owner, (list) => list.with(place.index, step));
}

export const insertStep = (route: Route, { owner, index }: Place, step: Step): Route =>
  edited(route, owner, (list) => list.toSpliced(index, 0, step));

export const removeStep = (route: Route, id: string): Route => {
  const place = placeOf(route.steps, id);
  return place === null
    ? route
    : edited(route, place.owner, (list) => list.toSpliced(place.index, 1));
};

/** A step put at a place, which is counted without it; never into itself. */
export function moveStep(route: Route, id: string, to: Place): Route {
  const step = findStep(route.steps, id);
  const isWithin = step !== null && to.owner !== null && findStep([step], to.owner) !== null;
  return step === null || isWithin ? route : insertStep(removeStep(route, id), to, step);
}

/** The next place of a step upwards or downwards: past its neighbour, into it, or out of what it stands in. */
export function nextPlace(steps: readonly Step[], id: string, by: -1 | 1): Place | null {
  const at = placeOf(steps, id);
  if (at === null) return null;
  const neighbour = listOf(steps, at.owner)[at.index + by];
  if (neighbour !== undefined) {
    if (!isOwner(neighbour)) return { ...at, index: at.index + by };
    return { owner: neighbour.id, index: by < 0 ? neighbour.steps.length : 0 };
  }
  const out = at.owner === null ? null : placeOf(steps, at.owner);
  return out && { ...out, index: out.index + (by < 0 ? 0 : 1) };
}

/** The same step with ids of its own, also for all within it. */
function renewed(step: Step, newId: () => string): Step {
  const own = { ...step, id: newId() };
  return isOwner(own) ? { ...own, steps: own.steps.map((one) => renewed(one, newId)) } : own;
}

export function duplicateStep(route: Route, id: string, newId: () => string): Route {
  const [step, place] = [findStep(route.steps, id), placeOf(route.steps, id)];
  if (step === null || place === null) return route;
  return insertStep(route, { ...place, index: place.index + 1 }, renewed(step, newId));
}
