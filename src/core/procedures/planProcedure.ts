import { z } from 'zod';
import { plannedEnd, planRoute } from '../course/plan';
import { routeSchema } from '../course/route';
import { procedure } from '../procedure/procedure';
import { robotSchema } from '../robot/robot';
import { routeCheck } from '../forecast/routeCheck';
import { trailOf } from '../steps/trail';
import { tableSchema } from '../table/table';

const planInput = z.strictObject({ robot: robotSchema, table: tableSchema, route: routeSchema });

function plan({ robot, table, route }: z.output<typeof planInput>) {
  const planned = planRoute(route, robot, table);
  const timesMade = (number: string, until: number) =>
    planned.slice(0, until).filter((one) => one.number === number).length;
  const steps = planned.map((one, i) => {
    const isRepeated = timesMade(one.number, planned.length) > 1;
    return {
      path: one.path,
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
    check: routeCheck(planned, robot, table).map(({ path, problem, sentence, mend }) => ({
      path,
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
