import type { Route } from '../course/route';
import { routeTargets } from '../course/routeMissions';
import { RUNS_PER_ROBOT } from '../forecast/prepare';
import type { SimulatedRun } from '../forecast/simulatedRun';
import type { Table } from '../table/table';
import { loadsOn } from '../table/moved';
import { targetsOf } from '../table/targets';
import { drivenLaunch } from './drivenLaunch';
import type { Match } from './match';
import { matchForecast, type MatchForecast } from './matchForecast';

/** A route that is driven in a match, and simulated runs of it. */
export interface RunsOfRoute {
  id: string;
  /** By which it is known which routes the same robot drives. */
  robotId: string;
  route: Route;
  runs: SimulatedRun[];
}

/**
 * Runs in another order, whole robots together: what is not known of one robot has nothing to do with what is not known
 * of another, though both were drawn from the same numbers.
 */
function shifted(runs: SimulatedRun[], share: number): SimulatedRun[] {
  const by = RUNS_PER_ROBOT * Math.floor((share * runs.length) / RUNS_PER_ROBOT);
  return [...runs.slice(by), ...runs.slice(0, by)];
}

/**
 * What a match brings.
 *
 * @param routes of all its launches, each simulated from the same seed, so that the same robots drive all of them
 */
export function matchOfRuns(
  match: Match,
  table: Table,
  routes: readonly RunsOfRoute[],
  seed: number,
): MatchForecast {
  const robots = [...new Set(routes.map(({ robotId }) => robotId))];
  const launches = match.launches.flatMap((launch) => {
    const of = routes.find(({ id }) => id === launch.routeId);
    if (of === undefined) return [];
    const runs = shifted(of.runs, robots.indexOf(of.robotId) / robots.length);
    return [drivenLaunch(launch, runs, routeTargets(of.route, table))];
  });
  const targets = table.missions.flatMap(targetsOf);
  return matchForecast(launches, {
    ...{ match, targets, seed },
    loads: loadsOn(table),
    runsEach: RUNS_PER_ROBOT,
  });
}
