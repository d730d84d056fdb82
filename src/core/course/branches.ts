import type { Robot } from '../robot/robot';
import { planStep } from '../steps/untilCondition';
import type { StepPath } from '../steps/tree';
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

/** What is made while a motion is: planned from where that begins. */
function reactions(way: readonly PlannedStep[], robot: Robot, table: Table): PlannedBranch[] {
  const first = way.filter(
    ({ number, reaction }, i) =>
      reaction !== undefined && way.findIndex((one) => one.number === number) === i,
  );
  return first.flatMap(({ reaction, path, within, from, number }) =>
    (['up', 'down'] as const).map((name, list) => {
      const owner = path.slice(0, -1);
      const steps = (reaction?.[name] ?? []).map((step, i) => ({
        step,
        number: `${number.slice(0, number.lastIndexOf('.') - 1)}${'bc'.charAt(list)}.${i + 1}`,
        path: [...owner, name, i],
        within,
        from,
        isMeanwhile: true as const,
        ...planStep(step, from, robot, table),
      }));
      return { path: [...owner, name], steps, way: [...way] };
    }),
  );
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
        const otherWay = planRoute(route, robot, table, [...answers, other.list]);
        const steps = decidedBy(otherWay, place);
        found.set(name, { path: [...path, ...other.at], steps, way: otherWay });
        ways.push(otherWay);
      }
      answers.push(answer);
    }
  }
  return [...found.values(), ...reactions(usual, robot, table)];
}
