import { useMemo } from 'react';
import { plannedBranches } from '../../core/course/branches';
import { planRoute } from '../../core/course/plan';
import type { Route } from '../../core/course/route';
import { routeCheck } from '../../core/forecast/routeCheck';
import { asMounted } from '../../core/robot/mounting';
import type { Robot } from '../../core/robot/robot';
import type { Table } from '../../core/table/table';

/** The plan of a route, the lists that it passes by, and what is doubtful about all of it. */
export const usePlan = (route: Route, robot: Robot, table: Table) =>
  useMemo(() => {
    const plan = planRoute(route, robot, table);
    const branches = plannedBranches(route, robot, table, plan);
    return { plan, branches, check: routeCheck(plan, branches, asMounted(robot, route), table) };
  }, [route, robot, table]);
