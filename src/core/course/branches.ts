import type { Robot } from '../robot/robot';
import { planStep } from '../steps/untilCondition';
import { numbered, type StepPath } from '../steps/tree';
import type { Table } from '../table/table';
import { planRoute, type PlannedStep } from './plan';
import type { Route } from './route';

/** A list of steps that a plan passes by, as it would be made. */
export interface PlannedBranch {
  /** Where the list stands in the route. */
  path: StepPath;
  /** Its motions in the order in which they are made. */
  steps: PlannedStep[];
  /** The whole way that leads through it. */
  way: PlannedStep[];
}

/** The motions that a question decides on: those of its step which come right after it. */
const decidedBy = (way: readonly PlannedStep[], place: number): PlannedStep[] => {
  const { step } = way[place] as PlannedStep;
  const after = way.slice(place + 1);
  const end = after.findIndex(({ within }) => !within.includes(step.id));
  return end < 0 ? after : after.slice(0, end);
};

/** What is made while a motion is, on any of the ways: planned from where that motion begins first. */
function reactions(
  { steps: all }: Route,
  robot: Robot,
  table: Table,
  ways: readonly (readonly PlannedStep[])[],
): PlannedBranch[] {
  const standing = new Map(numbered(all).map((one) => [one.step.id, one]));
  const found = new Map<string, PlannedBranch>();
  for (const way of ways) {
    for (const { reaction, path, from } of way) {
      for (const list of reaction === undefined ? [] : (['up', 'down'] as const)) {
        const at = [...path.slice(0, -1), list];
        if (found.has(at.join('/'))) continue;
        const steps = (reaction?.[list] ?? []).flatMap((step) => {
          const one = standing.get(step.id);
          const made = { step, from, isMeanwhile: true as const };
          return one === undefined
            ? []
            : [{ ...one, ...made, ...planStep(step, from, robot, table) }];
        });
        found.set(at.join('/'), { path: at, steps, way: [...way] });
      }
    }
  }
  return [...found.values()];
}

/** Each list that the usual plan of a route passes by, planned from where it is come to first. */
export function plannedBranches(
  route: Route,
  robot: Robot,
  table: Table,
  usual: readonly PlannedStep[],
): PlannedBranch[] {
  const found = new Map<string, PlannedBranch>();
  const taken = new Set<string>();
  const ways: (readonly PlannedStep[])[] = [usual];
  const nameOf = (path: StepPath, answer: string) => [...path, answer].join('/');
  for (const way of ways) {
    const asked = way.filter(({ choice }) => choice?.decides !== undefined);
    for (const { path, answer = '' } of asked) taken.add(nameOf(path, answer));
    const answers: string[] = [];
    for (const [place, { path, choice, answer }] of way.entries()) {
      if (choice === undefined || answer === undefined) continue;
      for (const other of choice.decides ?? []) {
        const name = nameOf(path, other.list);
        if (found.has(name) || taken.has(name)) continue;
        const otherWay = planRoute(
          route,
          robot,
          table,
          [...answers, other.list],
          way.slice(0, place),
        );
        const steps = decidedBy(otherWay, place);
        found.set(name, { path: [...path, ...other.at], steps, way: otherWay });
        ways.push(otherWay);
      }
      answers.push(answer);
    }
  }
  return [...found.values(), ...reactions(route, robot, table, ways)];
}
