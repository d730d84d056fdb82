import { z } from 'zod';
import { routeSchema } from '../course/route';
import { prepare } from '../forecast/prepare';
import { MOST_LOOPS, simulateAll } from '../forecast/simulateAll';
import { idSchema } from '../description/schema';
import { MOST_LAUNCHES } from '../match/description';
import { LAUNCH_SHAPE, MATCH_SHAPE } from '../match/match';
import { matchOfRuns, type RunsOfRoute } from '../match/matchOfRuns';
import { matchSentence } from '../match/sentence';
import { procedure } from '../procedure/procedure';
import { robotSchema } from '../robot/robot';
import { tableSchema } from '../table/table';
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
  const driven: RunsOfRoute[] = [];
  const asked = launches.map((one) => ({ ...one, routeId: one.routeId ?? one.id }));
  for (const { robot, route, bench: measured, ...one } of asked) {
    const simulation = simulationOf({ robot, route, bench: measured, table, seed: drawnBy });
    const all = simulateAll(simulation, runs, prepare(simulation), MOST_LOOPS / launches.length);
    if ('sentence' in all) return all;
    // Robots that are alike in all that is known of them are the same.
    const robotId = JSON.stringify([robot, measured]);
    driven.push({ id: one.routeId, robotId, route: simulation.route, runs: all.runs });
  }
  const planned = { ...match, launches: asked };
  const found = matchOfRuns(planned, table, driven, drawnBy);
  return { sentence: matchSentence(found, planned, (id) => id), ...found };
}

/** What a match of several launches brings. */
export const matchProcedure = procedure(
  'match',
  'points and time of a match of several launches: their spread, the best of so many, whether all fits the clock, and a better order',
  matchInput,
  matchOf,
);
