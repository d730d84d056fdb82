import { beginningChange, describeStep, mountedWords, stepChange } from './describe';
import { numbered, type NumberedStep } from '../steps/tree';
import type { Route } from './route';
import type { Mission } from '../table/table';

/** One line of what differs between two versions of a route. */
export interface RouteDifference {
  kind: 'added' | 'removed' | 'changed' | 'moved';
  /** Step number in the version where the line stands ("4.2": the second within the fourth), or null for the start. */
  stepNumber: string | null;
  before: string | null;
  after: string | null;
}

/** Length of the longest rising subsequence ending at each place: steps off it have moved. */
function keptInOrder(places: readonly number[]): Set<number> {
  const best = places.map(() => 1);
  const from = places.map(() => -1);
  for (let i = 0; i < places.length; i += 1) {
    for (let j = 0; j < i; j += 1) {
      if ((places[j] ?? 0) < (places[i] ?? 0) && (best[j] ?? 0) + 1 > (best[i] ?? 0)) {
        best[i] = (best[j] ?? 0) + 1;
        from[i] = j;
      }
    }
  }
  const kept = new Set<number>();
  let at = best.indexOf(Math.max(...best));
  while (at >= 0) {
    kept.add(places[at] ?? -1);
    at = from[at] ?? -1;
  }
  return kept;
}

/** The steps of a route by their ids, in order. */
const stepsById = ({ steps }: Route): Map<string, NumberedStep> =>
  new Map(numbered(steps).map((one) => [one.step.id, one]));

/** The list in which a step stands. */
const listOf = ({ within, path }: NumberedStep): string =>
  [within.at(-1), ...path.filter((one) => typeof one === 'string').slice(-2)].join(' ');

/** Which steps of two versions were moved: to another list, or within their own past those that stayed. */
function movedSteps(
  before: ReadonlyMap<string, NumberedStep>,
  after: ReadonlyMap<string, NumberedStep>,
): Set<string> {
  const places = new Map([...before.keys()].map((id, place) => [id, place]));
  const stayedIn = new Map<string, string[]>();
  const moved = new Set<string>();
  for (const [id, now] of after) {
    const old = before.get(id);
    if (old === undefined) continue;
    const list = listOf(now);
    if (listOf(old) === list) stayedIn.set(list, [...(stayedIn.get(list) ?? []), id]);
    else moved.add(id);
  }
  for (const ids of stayedIn.values()) {
    const kept = keptInOrder(ids.map((id) => places.get(id) ?? -1));
    for (const id of ids) if (!kept.has(places.get(id) ?? -1)) moved.add(id);
  }
  return moved;
}

/**
 * What a coach would want to read about the way from one version of a route to another.
 *
 * Steps are matched by their id, so that a changed step is told as changed and not as one removed
 * and one added.
 */
export function compareRoutes(
  before: Route,
  after: Route,
  missions: readonly Mission[],
): RouteDifference[] {
  const differences: RouteDifference[] = [];
  const beginning = beginningChange(before, after);
  if (beginning !== null) differences.push({ kind: 'changed', stepNumber: null, ...beginning });
  if (before.mounted !== after.mounted) {
    const [was, is] = [before, after].map(mountedWords);
    differences.push({ kind: 'changed', stepNumber: null, before: was ?? null, after: is ?? null });
  }
  const [old, now] = [stepsById(before), stepsById(after)];
  for (const [id, { step, number }] of old) {
    if (now.has(id)) continue;
    const text = describeStep(step, missions);
    differences.push({ kind: 'removed', stepNumber: number, before: text, after: null });
  }
  const moved = movedSteps(old, now);
  for (const [id, { step, number: stepNumber }] of now) {
    const was = old.get(id);
    const text = describeStep(step, missions);
    const change = was === undefined ? null : stepChange(was.step, step, missions);
    if (was === undefined) {
      differences.push({ kind: 'added', stepNumber, before: null, after: text });
    } else if (change !== null) {
      differences.push({ kind: 'changed', stepNumber, ...change });
    } else if (moved.has(id)) {
      differences.push({ kind: 'moved', stepNumber, before: `Step ${was.number}`, after: text });
    }
  }
  return differences;
}
