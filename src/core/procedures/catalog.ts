import { z } from 'zod';
import { poseSchema, tableSchema } from '../table/table';
import { routeSchema } from '../course/route';
import { benchProcedures } from './benchProcedures';
import { compareProcedures } from './compareProcedures';
import { valueSchema } from '../description/schema';
import { CONVERTED } from '../robot/description';
import { convert } from '../robot/conversions';
import { limits } from '../procedure/limits';
import { forecastProcedure } from './forecastProcedure';
import { matchProcedure } from './matchProcedure';
import { measuredRun } from './measuredRun';
import { placingProcedure } from './placingProcedure';
import { sheetProcedure } from './sheetProcedure';
import { planProcedure } from './planProcedure';
import { procedure, type Procedure } from '../procedure/procedure';
import { rangingProcedures } from './rangingProcedures';
import { robotSchema } from '../robot/robot';
import { consistency } from '../runs/consistency';
import { lightProcedures } from './lightProcedures';
import { sensorProcedures } from './sensorProcedures';
import { planExactly } from '../course/plan';
import { routeTargets } from '../course/routeMissions';
import { pointsOf } from '../forecast/points';
import { prepare } from '../forecast/prepare';
import { traceRun } from '../forecast/simulateRange';
import { simulateAll } from '../forecast/simulateAll';

const one = 'expected exactly one of distanceM, headingRad, motorDegrees';

const convertInput = z
  .strictObject({
    wheelDiameterM: limits.wheelDiameterM,
    trackM: limits.trackM,
    gearRatio: limits.gearRatio,
    encoderCountsPerMotorDegree: limits.encoderCountsPerMotorDegree,
    distanceM: valueSchema(CONVERTED.distanceM).optional(),
    headingRad: valueSchema(CONVERTED.headingRad).optional(),
    motorDegrees: valueSchema(CONVERTED.motorDegrees).optional(),
  })
  .refine(
    (input) =>
      [input.distanceM, input.headingRad, input.motorDegrees].filter((v) => v !== undefined)
        .length === 1,
    one,
  );

const consistencyInput = z.strictObject({
  target: poseSchema,
  runs: z.array(measuredRun).max(100_000),
});

const simulateInput = z.strictObject({
  robot: robotSchema,
  table: tableSchema,
  route: routeSchema,
  runs: z.number().int().min(1).max(5000),
  seed: z.number().int().min(0).max(4294967295).default(1),
  rounded: z
    .boolean()
    .default(true)
    .describe('speeds and distances as the fields of the robot’s programs hold them'),
});

function simulate({ rounded, ...input }: z.output<typeof simulateInput>) {
  const { robot, table, route } = input;
  const prepared = rounded
    ? prepare(input)
    : prepare(input, (answers) => planExactly(route, robot, table, answers));
  const all = simulateAll(input, input.runs, prepared);
  if ('sentence' in all) return all;
  const { runs } = all;
  const targets = routeTargets(route, table);
  return {
    ends: runs.map((run) => ({ ...run.end, points: pointsOf(run, targets) })),
    marks: runs.map((run) => run.marks),
    answers: runs.map((run) => run.answers),
    trace: traceRun(input, 0, prepared),
  };
}

/** Every procedure by its name: feeds `corvat calc` and docs/formats. */
export const catalog: readonly Procedure[] = [
  procedure(
    'consistency',
    'bias, spread, accuracy, repeatability, regions and success of a series of runs',
    consistencyInput,
    ({ target, runs }) => consistency(target, runs),
  ),
  procedure(
    'convert',
    'distance, robot heading and motor degrees, each from any of them',
    convertInput,
    convert,
  ),
  planProcedure,
  sheetProcedure,
  procedure(
    'simulate',
    'end poses of simulated runs of a route, and the trace of the first',
    simulateInput,
    simulate,
  ),
  forecastProcedure,
  matchProcedure,
  ...compareProcedures,
  ...benchProcedures,
  ...rangingProcedures,
  placingProcedure,
  ...sensorProcedures,
  ...lightProcedures,
];
