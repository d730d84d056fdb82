import { benchLength, degrees, headingText } from '../text/quantities';
import { describeStep, differingValuesOf } from './describe';
import type { Step } from '../steps/step';
import type { Route } from './route';
import type { Mission } from './table';

/** One line of what differs between two versions of a route. */
export interface Difference {
  kind: 'added' | 'removed' | 'changed' | 'moved';
  /** Step number in the version where the line stands, or null for the start. */
  stepNumber: number | null;
  before: string | null;
  after: string | null;
}

const sameStep = (a: Step, b: Step, missions: readonly Mission[]): boolean => {
  const { before, after } = differingValuesOf(a, b, missions);
  return a.kind === b.kind && before === after;
};

const exactStart = ({ start, placement }: Route) =>
  `Start at ${benchLength(start.xM, 3)}, ${benchLength(start.yM, 3)}, facing ${headingText(start.headingRad, 4)}; placed to ± ${benchLength(placement.alongSdM, 3)} along, ± ${benchLength(placement.acrossSdM, 3)} across, ± ${degrees(placement.headingSdRad, 4)}`;

const describeStart = ({ start, placement }: Route) =>
  `Start at ${benchLength(start.xM)}, ${benchLength(start.yM)}, facing ${headingText(start.headingRad)}; placed to ± ${benchLength(placement.alongSdM, 1)} along, ± ${benchLength(placement.acrossSdM, 1)} across, ± ${degrees(placement.headingSdRad)}`;

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

/**
 * What a coach would want to read about the way from one version of a route to another.
 *
 * Steps are matched by their id, so that a changed step is told as changed and not as one removed
 * and one added; steps without an id are matched by their place.
 */
export function compareRoutes(
  before: Route,
  after: Route,
  missions: readonly Mission[],
): Difference[] {
  const differences: Difference[] = [];
  if (exactStart(before) !== exactStart(after)) {
    const rounded = describeStart(before) === describeStart(after);
    const say = rounded ? exactStart : describeStart;
    differences.push({
      kind: 'changed',
      stepNumber: null,
      before: say(before),
      after: say(after),
    });
  }
  const key = (route: Route, index: number) => route.steps[index]?.id ?? `#${index}`;
  const oldPlaces = new Map(before.steps.map((_, index) => [key(before, index), index]));
  const newKeys = new Set(after.steps.map((_, index) => key(after, index)));
  for (const [index, step] of before.steps.entries()) {
    if (newKeys.has(key(before, index))) continue;
    const text = describeStep(step, missions);
    differences.push({ kind: 'removed', stepNumber: index + 1, before: text, after: null });
  }
  const shared = after.steps.flatMap((_, index) => oldPlaces.get(key(after, index)) ?? []);
  const kept = keptInOrder(shared);
  for (const [index, step] of after.steps.entries()) {
    const oldIndex = oldPlaces.get(key(after, index));
    const old = oldIndex === undefined ? undefined : before.steps[oldIndex];
    const text = describeStep(step, missions);
    const stepNumber = index + 1;
    if (old === undefined || oldIndex === undefined) {
      differences.push({ kind: 'added', stepNumber, before: null, after: text });
      continue;
    }
    const oldText = describeStep(old, missions);
    if (!sameStep(old, step, missions)) {
      // What a sentence rounds away, or does not mention, is told value by value.
      const values = oldText === text ? differingValuesOf(old, step, missions) : null;
      differences.push({
        kind: 'changed',
        stepNumber,
        before: values === null ? oldText : `${oldText}: ${values.before}`,
        after: values === null ? text : `${text}: ${values.after}`,
      });
    } else if (!kept.has(oldIndex)) {
      differences.push({ kind: 'moved', stepNumber, before: `Step ${oldIndex + 1}`, after: text });
    }
  }
  return differences;
}
