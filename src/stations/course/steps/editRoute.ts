import type { Route } from '../../../core/course/route';
import { withBranch, type Branch } from '../../../core/steps/branch';
import { branchesOf, isOwner, type Step } from '../../../core/steps/descriptions';
import { fits, withLists } from '../../../core/steps/tree';

/** Where a step stands, or is to stand: in whose list (null: the route's own), in which of those, and at which place there. */
export interface Place {
  owner: string | null;
  /** Its name, as `nameOf` has it; empty for the route's own. */
  list: string;
  index: number;
}

/** The name of one of the lists of a step. */
export const nameOf = ({ at }: Pick<Branch, 'at'>): string => at.join('.');

const ROUTE = { owner: null, list: '' } as const;

/** The steps with one list of them changed: the route's own, or one of a step. */
function withList(
  steps: readonly Step[],
  { owner, list }: Pick<Place, 'owner' | 'list'>,
  change: (list: readonly Step[]) => Step[],
): Step[] {
  if (owner === null) return change(steps);
  return steps.map((step) => {
    if (!isOwner(step)) return step;
    if (step.id !== owner)
      return withLists(step, (inner) => withList(inner, { owner, list }, change));
    const branch = branchesOf(step).find((one) => nameOf(one) === list);
    return branch === undefined ? step : withBranch(step, branch, change(branch.steps));
  });
}

const edited = (
  route: Route,
  at: Pick<Place, 'owner' | 'list'>,
  change: (list: readonly Step[]) => Step[],
): Route => ({ ...route, steps: withList(route.steps, at, change) });

/** The place of a step; null where there is none of that id. */
export function placeOf(
  steps: readonly Step[],
  id: string,
  at: Pick<Place, 'owner' | 'list'> = ROUTE,
): Place | null {
  const index = steps.findIndex((step) => step.id === id);
  if (index >= 0) return { ...at, index };
  for (const step of steps.filter(isOwner)) {
    for (const branch of branchesOf(step)) {
      const place = placeOf(branch.steps, id, { owner: step.id, list: nameOf(branch) });
      if (place !== null) return place;
    }
  }
  return null;
}

/** The list of a step that a place is in; null: the route's own. */
function branchAt(steps: readonly Step[], { owner, list }: Omit<Place, 'index'>): Branch | null {
  const step = owner === null ? null : findStep(steps, owner);
  const branches = step !== null && isOwner(step) ? branchesOf(step) : [];
  return branches.find((one) => nameOf(one) === list) ?? null;
}

/** The list in which places are counted. */
export const listOf = (steps: readonly Step[], at: Omit<Place, 'index'>): readonly Step[] =>
  at.owner === null ? steps : (branchAt(steps, at)?.steps ?? []);

/** Whether a place is that of a single motion: another is put in its stead, and none taken out. */
export const isSingle = (steps: readonly Step[], at: Omit<Place, 'index'>): boolean =>
  branchAt(steps, at)?.isSingle === true;

/** Whether a step of a kind may be put there. */
export function mayStand(
  steps: readonly Step[],
  at: Omit<Place, 'index'>,
  kind: Step['kind'],
): boolean {
  const branch = branchAt(steps, at);
  return branch === null || fits(branch, kind);
}

export function findStep(steps: readonly Step[], id: string): Step | null {
  for (const step of steps) {
    if (step.id === id) return step;
    for (const branch of isOwner(step) ? branchesOf(step) : []) {
      const inner = findStep(branch.steps, id);
      if (inner !== null) return inner;
    }
  }
  return null;
}

/** The route with a step in place of the one that has its id. */
export function replaceStep(route: Route, step: Step): Route {
  const place = placeOf(route.steps, step.id);
  return place === null ? route : edited(route, place, (list) => list.with(place.index, step));
}

export const insertStep = (route: Route, place: Place, step: Step): Route =>
  edited(route, place, (list) => list.toSpliced(place.index, 0, step));

export const removeStep = (route: Route, id: string): Route => {
  const place = placeOf(route.steps, id);
  return place === null || isSingle(route.steps, place)
    ? route
    : edited(route, place, (list) => list.toSpliced(place.index, 1));
};

/** A step put at a place, which is counted without it; never into itself, nor out of where another has to stand. */
export function moveStep(route: Route, id: string, to: Place): Route {
  const [step, from] = [findStep(route.steps, id), placeOf(route.steps, id)];
  if (step === null || from === null || isSingle(route.steps, from) || isSingle(route.steps, to))
    return route;
  const isWithin = to.owner !== null && findStep([step], to.owner) !== null;
  return isWithin || !mayStand(route.steps, to, step.kind)
    ? route
    : insertStep(removeStep(route, id), to, step);
}

/** The lists of a step into which others may be moved, with their places. */
const openLists = (
  step: Step,
  kind: Step['kind'],
): (Pick<Place, 'owner' | 'list'> & { length: number })[] =>
  isOwner(step)
    ? branchesOf(step)
        .filter((branch) => branch.isSingle !== true && fits(branch, kind))
        .map((branch) => ({
          owner: step.id,
          list: nameOf(branch),
          length: branch.steps.length,
        }))
    : [];

/** The next place of a step upwards or downwards: past its neighbour, into it, or out of what it stands in. */
export function nextPlace(steps: readonly Step[], id: string, by: -1 | 1): Place | null {
  const at = placeOf(steps, id);
  const kind = findStep(steps, id)?.kind;
  if (at === null || kind === undefined) return null;
  const entry = ({ length, ...list }: ReturnType<typeof openLists>[number]): Place => ({
    ...list,
    index: by < 0 ? length : 0,
  });
  const neighbour = listOf(steps, at)[at.index + by];
  if (neighbour !== undefined) {
    const lists = openLists(neighbour, kind);
    const into = by < 0 ? lists.at(-1) : lists[0];
    return into === undefined ? { ...at, index: at.index + by } : entry(into);
  }
  const owner = at.owner === null ? null : findStep(steps, at.owner);
  if (owner === null) return null;
  // From one list of a step into its next, and out of it past the last.
  const lists = openLists(owner, kind);
  const next = lists[lists.findIndex(({ list }) => list === at.list) + by];
  if (next !== undefined) return entry(next);
  const out = placeOf(steps, owner.id);
  return out && { ...out, index: out.index + (by < 0 ? 0 : 1) };
}

/** The same step with ids of its own, also for all within it. */
function renewed(step: Step, newId: () => string): Step {
  const own = { ...step, id: newId() };
  return isOwner(own) ? withLists(own, (steps) => steps.map((one) => renewed(one, newId))) : own;
}

export function duplicateStep(route: Route, id: string, newId: () => string): Route {
  const [step, place] = [findStep(route.steps, id), placeOf(route.steps, id)];
  if (step === null || place === null || isSingle(route.steps, place)) return route;
  return insertStep(route, { ...place, index: place.index + 1 }, renewed(step, newId));
}

/** The route with a step mended: changed or taken out, and perhaps another put before it. */
export function mendStep(
  route: Route,
  id: string,
  { step, before }: { step: Step | null; before?: Step },
): Route {
  const place = placeOf(route.steps, id);
  const mended = step === null ? removeStep(route, id) : replaceStep(route, step);
  return before === undefined || place === null ? mended : insertStep(mended, place, before);
}
