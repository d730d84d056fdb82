import type { Pose } from '../geometry/pose';
import { missionOfStep } from '../steps/descriptions';
import { motionsOf } from '../steps/tree';
import { kindOfStep } from '../steps/registry';
import { isMarkOf, targetsOf, type Target } from '../table/targets';
import type { Route } from './route';
import type { Mission, Table } from '../table/table';

/** The missions that a route works, in the order in which it comes to them, each once. */
export function routeMissions(route: Route, table: Table): Mission[] {
  const ids = new Set(motionsOf(route.steps).map(missionOfStep));
  return [...ids].flatMap((id) => table.missions.find((mission) => mission.id === id) ?? []);
}

/** All that a route is scored by: the missions that it works, or those of their parts, in the table's order. */
export function routeTargets(
  { steps }: Pick<Route, 'steps'>,
  { missions }: Pick<Table, 'missions'>,
): Target[] {
  const marked = motionsOf(steps).flatMap((step) => kindOfStep(step).marks?.(step) ?? []);
  return missions
    .flatMap(targetsOf)
    .filter((target) => marked.some((one) => isMarkOf(one, target)));
}

/** Farther than this the end of a route has nothing to do with a mission's window. */
const NEAR_M = 0.15;

/** The mission that is worked where the route ends: the nearest of its missions within 15 cm, or null. */
export function missionAtEnd(missions: readonly Mission[], end: Pose): Mission | null {
  const distance = ({ pose }: Mission) => Math.hypot(pose.xM - end.xM, pose.yM - end.yM);
  const nearest = missions.toSorted((a, b) => distance(a) - distance(b))[0];
  return nearest !== undefined && distance(nearest) <= NEAR_M ? nearest : null;
}
