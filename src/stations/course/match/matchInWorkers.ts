import type { Simulation } from '../../../core/forecast/prepare';
import type { SimulatedRun } from '../../../core/forecast/simulatedRun';
import type { Match } from '../../../core/match/match';
import type { MatchForecast } from '../../../core/match/matchForecast';
import type { RunsOfRoute } from '../../../core/match/matchOfRuns';
import type { Table } from '../../../core/table/table';
import type { WorkerJob } from '../../inWorker';
import { inCourseWorkers, simulatePortions } from '../courseWorkers';

/** A route that may be driven, and what its runs follow from; null where it cannot be simulated yet. */
export interface RouteOfMatch {
  id: string;
  robotId: string;
  name: string;
  isArchived: boolean;
  simulation: Simulation | null;
}

/** Runs of routes that were simulated before, by what they follow from: the order of launches changes none of them. */
const known = new WeakMap<Simulation, SimulatedRun[]>();

/** Simulate the routes of a match that were not simulated yet, and play matches with their runs. */
export function matchInWorkers(
  match: Match,
  table: Table,
  routes: readonly RouteOfMatch[],
  runsEach: number,
  onProgress: (done: number, total: number) => void,
): WorkerJob<MatchForecast> {
  let cancelled = false;
  const driven = routes.flatMap(({ id, robotId, simulation }) =>
    simulation !== null && match.launches.some(({ routeId }) => routeId === id)
      ? [{ id, robotId, simulation }]
      : [],
  );
  const toSimulate = driven.filter(({ simulation }) => !known.has(simulation));
  let done = 0;
  const result = inCourseWorkers(async ({ simulators, forecaster }): Promise<MatchForecast> => {
    for (const { simulation } of toSimulate) {
      const runs: SimulatedRun[] = [];
      await simulatePortions(
        simulators,
        simulation,
        runsEach,
        (portion) => {
          for (const { index, run } of portion) runs[index] = run;
          done += portion.length;
          onProgress(done, toSimulate.length * runsEach);
        },
        () => cancelled,
      );
      if (cancelled) return new Promise(() => undefined);
      known.set(simulation, runs);
    }
    const runs = driven.map(({ id, robotId, simulation }): RunsOfRoute => ({
      id,
      robotId,
      route: simulation.route,
      runs: known.get(simulation) ?? [],
    }));
    const [first] = driven;
    return forecaster.matchOfRuns(match, table, runs, first?.simulation.seed ?? 0);
  });
  return { result, cancel: () => (cancelled = true) };
}
