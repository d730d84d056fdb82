import { z } from 'zod';
import { plannedEnd, planRoute, type PlannedStep } from '../course/plan';
import { routeSchema } from '../course/route';
import { procedure } from '../procedure/procedure';
import { robotSchema } from '../robot/robot';
import { routeCheck } from '../forecast/routeCheck';
import { trailOf } from '../steps/trail';
import { tableSchema } from '../table/table';

const planInput = z.strictObject({ robot: robotSchema, table: tableSchema, route: routeSchema });

/** Where a step stands in its route: its place in the list, in the list of the step at that place, and so on. */
const pathOf = ({ number }: Pick<PlannedStep, 'number'>): (number | 'steps')[] =>
  number
    .split('.')
    .flatMap((place, i) => [...(i === 0 ? [] : ['steps' as const]), Number(place) - 1]);

function plan({ robot, table, route }: z.output<typeof planInput>) {
  const planned = planRoute(route, robot, table);
  const timesMade = (number: string, until: number) =>
    planned.slice(0, until).filter((one) => one.number === number).length;
  const steps = planned.map((one, i) => {
    const isRepeated = timesMade(one.number, planned.length) > 1;
    return {
      path: pathOf(one),
      ...(isRepeated && { round: timesMade(one.number, i) + 1 }),
      from: one.from,
      to: one.to,
      trail: trailOf(one),
      durationS: one.durationS,
      timeoutS: one.timeoutS,
      problems: one.problems,
    };
  });
  return {
    steps,
    branches: [],
    end: plannedEnd(route, planned),
    check: routeCheck(planned, robot, table).map(({ number, problem, sentence, mend }) => ({
      path: pathOf({ number }),
      problem,
      sentence,
      ...(mend !== undefined && { mend }),
    })),
  };
}

export const planProcedure = procedure(
  'plan',
  'where each step of a route is to end, by which way, in what time, and what is doubtful about it',
  planInput,
  plan,
);
