import { z } from 'zod';
import { plannedBranches } from '../course/branches';
import { plannedEnd, planRoute, type PlannedStep } from '../course/plan';
import { routeSchema } from '../course/route';
import { procedure } from '../procedure/procedure';
import { asMounted } from '../robot/mounting';
import { robotSchema } from '../robot/robot';
import { routeCheck } from '../forecast/routeCheck';
import { trailOf } from '../steps/trail';
import { tableSchema } from '../table/table';

const planInput = z.strictObject({ robot: robotSchema, table: tableSchema, route: routeSchema });

/** Motions as they are answered, one for each time that they are made; questions are none. */
function told(planned: readonly PlannedStep[]) {
  const motions = planned.filter(({ choice }) => choice === undefined);
  const timesMade = (number: string, until: number) =>
    motions.slice(0, until).filter((one) => one.number === number).length;
  return motions.map((one, i) => ({
    path: one.path,
    ...(timesMade(one.number, motions.length) > 1 && { round: timesMade(one.number, i) + 1 }),
    from: one.from,
    to: one.to,
    trail: trailOf(one),
    durationS: one.durationS,
    timeoutS: one.timeoutS,
    problems: one.problems,
  }));
}

function plan({ robot: recorded, table, route }: z.output<typeof planInput>) {
  const robot = asMounted(recorded, route);
  const planned = planRoute(route, robot, table);
  const branches = plannedBranches(route, robot, table, planned);
  return {
    steps: told(planned),
    branches: branches.map(({ path, steps }) => ({ path, steps: told(steps) })),
    end: plannedEnd(route, planned),
    check: routeCheck(planned, branches, robot, table).map(({ path, problem, sentence, mend }) => ({
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
