import { z } from 'zod';
import { squareInput, stillInput, stillLog, turnInput } from './benchProcedures';
import { calibrationFromTurns } from '../calibration/kinds/turns/fromStudy';
import { calibrationFromStops } from '../calibration/kinds/stop/fromStudy';
import { driftFromCheck, measuresDrift } from '../calibration/kinds/gyroDrift/fromStudy';
import { driveFromSquare } from '../calibration/kinds/drive/fromStudy';
import { withTurnCalibration } from '../calibration/applyTurns';
import type { CalibrationOf, CalibrationValue } from '../calibration/calibration';
import { fittedRobot } from '../calibration/fittedRobot';
import { routeSchema } from '../course/route';
import { tableSchema } from '../table/table';
import { calibrationFromStraight } from '../drive/straightStudy';
import { straightModel } from '../drive/straightModel';
import { stillCheck } from '../gyro/still/stillCheck';
import { procedure } from '../procedure/procedure';
import { rangeCalibration } from '../ranging/rangeCalibration';
import { rangeValueOf } from '../ranging/rangeStudy';
import { stopModel } from '../ranging/stopModel';
import { straightInput } from './straightProcedure';
import { rangeInput, stopInput } from './rangingProcedures';
import { robotSchema } from '../robot/robot';
import { sensitivitiesOf } from '../forecast/sensitivities';
import { simulateAll } from '../forecast/simulateAll';
import { forecast } from '../forecast/summary';
import { doubtsOf } from '../sources/sources';
import { encoderSquare } from '../square/squareFit';
import { hardlyTurns } from '../turns/errorModel';
import { turnModel } from '../turns/turnModel';

export const forecastInput = z.strictObject({
  robot: robotSchema,
  table: tableSchema,
  route: routeSchema,
  bench: z
    .strictObject({
      stillCheck: stillInput.optional(),
      straights: straightInput.optional(),
      turns: turnInput.optional(),
      square: squareInput.optional(),
      range: rangeInput.optional(),
      stops: stopInput.optional(),
    })
    .prefault({})
    .describe('what was measured, each the input of its own procedure: fitted, and applied'),
  runs: z.number().int().min(8).max(5000),
  seed: z.number().int().min(0).max(4294967295).default(1),
});

type Bench = z.output<typeof forecastInput>['bench'];

/** A drift, as it is applied; nothing where the robot did not lie still for long enough. */
function driftOf({ stillCheck: input }: Bench): CalibrationOf<'gyro-drift'> | null {
  if (input === undefined) return null;
  const { samples, runDurationS, toleranceRad, settings, earlier } = input;
  const found = stillCheck(stillLog(samples), runDurationS, toleranceRad, settings, earlier);
  return measuresDrift(found) ? driftFromCheck(found) : null;
}

function straightOf({ straights }: Bench): CalibrationValue | null {
  const forward = straights?.trials.filter(({ commandedM }) => commandedM > 0) ?? [];
  const model = straightModel(forward, straights?.readToM);
  return model && calibrationFromStraight(model);
}

/** Turns, the drift that a still check found taken out where none was given. */
function turnsOf(
  { turns }: Bench,
  drift: CalibrationOf<'gyro-drift'> | null,
): CalibrationValue | null {
  if (turns === undefined) return null;
  const foundRadPerS = drift?.driftRadPerS ?? 0;
  const model = turnModel(turns.trials, turns.driftRadPerS || foundRadPerS, turns.wantedRad);
  const canApply = model.groups.length > 0 && model.groups.every((one) => !hardlyTurns(one.model));
  return canApply ? calibrationFromTurns(model) : null;
}

function squareOf({ square }: Bench): CalibrationValue | null {
  if (square === undefined || square.driven !== 'encoders') return null;
  const { driven: _, stillDrift: __, ...laps } = square;
  // Laps of one way part no track from wheels.
  if (laps.cw.length === 0 || laps.ccw.length === 0) return null;
  return driveFromSquare(encoderSquare(laps));
}

function rangeOf({ range }: Bench): CalibrationValue | null {
  if (range === undefined) return null;
  return rangeValueOf(
    rangeCalibration(range.readings, range.toleranceM)?.units[0],
    range.toleranceM,
  );
}

function stopsOf({ stops }: Bench): CalibrationValue | null {
  const model = stops === undefined ? null : stopModel(stops.trials, stops.readToM);
  return stops === undefined || model === null ? null : calibrationFromStops(model, stops.trials);
}

/** What was measured, each as a press on "apply" would leave it. */
export function applied(bench: Bench): CalibrationValue[] {
  const drift = driftOf(bench);
  return [
    drift,
    straightOf(bench),
    squareOf(bench),
    turnsOf(bench, drift),
    rangeOf(bench),
    stopsOf(bench),
  ].filter((value) => value !== null);
}

const interval = (range: { rate: number; low: number; high: number }) => ({
  value: range.rate,
  low95: range.low,
  high95: range.high,
});

/** What there is to simulate: the robot and the route as applied, and how well each thing about them is known. */
export function simulationOf({
  robot: record,
  table,
  route: asDrawn,
  bench,
  seed,
}: Omit<z.output<typeof forecastInput>, 'runs'>) {
  const values = applied(bench);
  const { robot, turns } = fittedRobot(record, values);
  const route =
    turns === null ? asDrawn : withTurnCalibration(asDrawn, robot, table, turns, 'bench').route;
  return { robot, table, route, seed, turns, doubts: doubtsOf(values) };
}

/** The robot and the route as applied, and what is to be expected of them. */
function forecastOf({ runs: n, ...input }: z.output<typeof forecastInput>) {
  const simulation = simulationOf(input);
  const { robot, route } = simulation;
  const all = simulateAll(simulation, n);
  if ('sentence' in all) return all;
  const found = forecast(simulation, all.runs, sensitivitiesOf(simulation));
  const { coastM, headingScale } = robot.program;
  return {
    robot,
    program: { wheelDiameterM: robot.wheelDiameterM, trackM: robot.trackM, coastM, headingScale },
    route,
    chance: found.missions.map(({ mission, chance: { rate }, low, high }) => ({
      missionId: mission.id,
      ...(mission.part !== null && { part: mission.part }),
      ...interval({ rate, low, high }),
    })),
    all: found.all && interval(found.all),
    end: found.endOfRobot,
    measureFirst: found.measureFirst,
  };
}

/** What runs of a route will do, on a robot as far as it was measured. */
export const forecastProcedure = procedure(
  'forecast',
  'chance of each mission and where runs end, each with the interval that holds this very robot’s, by what was measured',
  forecastInput,
  forecastOf,
);
