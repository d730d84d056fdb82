import type { Robot } from '../robot/robot';
import type { Table } from '../table/table';
import { planRoute } from './plan';
import type { Route } from './route';

/**
 * A stretch of a route by itself, to be tried alone: it begins where the plan comes to it.
 *
 * @param from the place of its first step in the route's list, the first 0; to: of its last
 * @returns null where the route has no such steps
 */
export function stretchOf(
  route: Route,
  robot: Robot,
  table: Table,
  { from, to }: { from: number; to: number },
): Route | null {
  const steps = route.steps.slice(from, to + 1);
  if (steps.length === 0 || steps.length !== to - from + 1) return null;
  const before = planRoute({ ...route, steps: route.steps.slice(0, from) }, robot, table);
  return { ...route, start: before.at(-1)?.to ?? route.start, steps };
}

/** The number that a step of a stretch has in the whole route. */
export const numberInRoute = (number: string, from: number): string =>
  number.replace(/^\d+/, (first) => String(Number(first) + from));
