import { allHeld } from '../../../formats/holding';
import { isMissionList } from '../../../core/course/missionList';
import { doubtsOf } from '../../../core/sources/sources';
import type { Simulation } from '../../../core/forecast/prepare';
import { FORECAST_SEED } from '../../../core/forecast/luck';
import type { BenchFacts, BenchPage, Procedure } from '../procedure';
import type { OverviewLine } from './line';
import { waitingNow, waitingOf } from '../waiting';
import { worthNext } from './worthNext';

/** The route that was saved last, to be simulated with what is known of the robot. */
async function newestRoute(facts: BenchFacts) {
  const [routes, holding] = await Promise.all([facts.routes(), facts.holding()]);
  const [newest] = routes
    .filter(({ version }) => !isMissionList(version.route))
    .toSorted((a, b) => b.version.savedAt.localeCompare(a.version.savedAt));
  if (newest === undefined) return null;
  const values = allHeld(holding).map(({ value }) => value);
  const { robot, turns } = facts.fitted(values);
  const simulation: Simulation = {
    robot,
    turns,
    table: newest.table,
    route: newest.version.route,
    seed: FORECAST_SEED,
    doubts: doubtsOf(values),
  };
  return { name: newest.name, simulation };
}

/** What is known of a robot, procedure by procedure, and what is worth doing next. */
export const overview = (procedures: readonly Procedure[]): BenchPage => ({
  id: 'overview',
  title: 'Bench',
  props: async (facts) => {
    const lines = await Promise.all(
      procedures.map(async (procedure): Promise<OverviewLine> => {
        const { id, title, group, goodFor, minutes, gives } = procedure;
        const known = await procedure.known(facts);
        return { id, title, group, goodFor, minutes, gives: gives.length > 0, ...known };
      }),
    );
    const [creep, route, waiting] = await Promise.all([
      facts.creep(),
      newestRoute(facts),
      waitingOf(facts, procedures),
    ]);
    return {
      lines,
      waiting: waitingNow(waiting),
      creep,
      next: worthNext(lines),
      route,
    };
  },
});
