import { z } from 'zod';
import { routeTargets } from '../course/routeMissions';
import { routeSchema } from '../course/route';
import { prepare, RUNS_PER_ROBOT } from '../forecast/prepare';
import { MOST_LOOPS, simulateAll } from '../forecast/simulateAll';
import { idSchema } from '../description/schema';
import { drivenLaunch, type DrivenLaunch } from '../match/drivenLaunch';
import { LAUNCH_SHAPE, MATCH_SHAPE, MOST_LAUNCHES } from '../match/match';
import { matchForecast } from '../match/matchForecast';
import { matchSentence } from '../match/sentence';
import { procedure } from '../procedure/procedure';
import { robotSchema } from '../robot/robot';
import { tableSchema } from '../table/table';
import { targetsOf } from '../table/targets';
import { forecastInput, simulationOf } from './forecastProcedure';

const { bench, seed } = forecastInput.shape;

const launch = z.strictObject({
  ...LAUNCH_SHAPE,
  routeId: idSchema
    .optional()
    .describe('alike where launches drive the same route; left out: its id'),
  robot: robotSchema,
  route: routeSchema,
  bench,
});

const matchInput = z.strictObject({
  ...MATCH_SHAPE,
  table: tableSchema,
  launches: z.array(launch).min(1).max(MOST_LAUNCHES),
  runs: z.number().int().min(8).max(2000).describe('of each launch, and as many matches'),
  seed,
});

/** What matches of these launches bring. */
function matchOf({ table, launches, runs, seed: drawnBy, ...match }: z.output<typeof matchInput>) {
  const driven: DrivenLaunch[] = [];
  const asked = launches.map((one) => ({ ...one, routeId: one.routeId ?? one.id }));
  for (const { robot, route, bench: measured, ...one } of asked) {
    const simulation = simulationOf({ robot, route, bench: measured, table, seed: drawnBy });
    const all = simulateAll(simulation, runs, prepare(simulation), MOST_LOOPS / launches.length);
    if ('sentence' in all) return all;
    driven.push(drivenLaunch(one, all.runs, routeTargets(simulation.route, table)));
  }
  const played = {
    match: { ...match, launches: asked },
    targets: table.missions.flatMap(targetsOf),
    runsEach: RUNS_PER_ROBOT,
    seed: drawnBy,
  };
  const found = matchForecast(driven, played);
  return { sentence: matchSentence(found, played.match, (id) => id), ...found };
}

/** What a match of several launches brings. */
export const matchProcedure = procedure(
  'match',
  'points and time of a match of several launches: their spread, the best of so many, whether all fits the clock, and a better order',
  matchInput,
  matchOf,
);
