import { calibrationOf } from '../../src/core/calibration/find';
import type { CalibrationValue } from '../../src/core/calibration/calibration';
import { applied, forecastInput, simulationOf } from '../../src/core/procedures/forecastProcedure';
import { sensitivitiesOf } from '../../src/core/forecast/sensitivities';
import { simulateAll } from '../../src/core/forecast/simulateAll';
import { forecast, type Forecast } from '../../src/core/forecast/summary';
import type { Doubt } from '../../src/core/sources/source';
import { generator, type Program, type Truth } from '../../tests/support/eulerRobot';
import { benchOf, DEG, NOMINAL, RATE, robotAt, robotOf, type MeasuredHow } from './forecastBench';
import { askedOf, median, ROUTES } from './forecastCoverage';

/** Motions from which what is true of a robot is told. */
const MOTIONS = 40;

const meanOf = (n: number, one: () => number): number => {
  let sum = 0;
  for (let i = 0; i < n; i += 1) sum += one();
  return sum / n;
};

/** How far drives of two lengths truly go, as share and constant. */
function trueDrives(truth: Truth, random: () => number) {
  const mean = (commandedM: number) =>
    meanOf(MOTIONS, () => {
      const robot = robotOf(truth, NOMINAL, random);
      robot.straight(commandedM, 0.3, 1.2, 0);
      return robot.x;
    });
  const [short, long] = [mean(0.3), mean(1.5)];
  const share = (long - short) / 1.2;
  return { share, constantM: short - 0.3 * share };
}

/** How much too far quarter turns to the left truly go. */
const trueTurn = (truth: Truth, program: Program, random: () => number): number =>
  meanOf(MOTIONS, () => {
    const robot = robotOf(truth, program, random);
    robot.turn(90 * DEG, RATE, 0);
    return robot.heading - 90 * DEG;
  });

/** How far off each figure is that a bench applied, by the name of its source. */
function errorsOf(values: readonly CalibrationValue[], truth: Truth, random: () => number) {
  const errors: Record<string, number> = {};
  const straight = calibrationOf(values, 'straight');
  if (straight?.atMid !== undefined) {
    const { share, constantM } = trueDrives(truth, random);
    const at = straight.atMid.distanceM;
    errors['wheel size'] = straight.scaleFactor - share;
    errors['coast of drives'] =
      straight.scaleFactor * at + straight.coastM - (share * at + constantM);
    errors['scatter of drives'] = Math.log(straight.residualSdM / truth.driveSdM);
  }
  const turns = calibrationOf(values, 'turns');
  const left = turns?.groups.find(({ direction }) => direction !== 'right');
  if (turns?.gyroScale != null && left !== undefined) {
    errors['scale of the heading sensor'] = turns.gyroScale.scaleError - truth.gyroScale;
    const stop = left.constantRad + left.scaleError * 90 * DEG;
    errors.turns = (stop - trueTurn(truth, NOMINAL, random)) / RATE;
    if (left.residualSdRad !== null)
      errors['scatter of turns'] = Math.log(left.residualSdRad / truth.turnSdRad);
  }
  const drift = calibrationOf(values, 'gyro-drift');
  if (drift !== null) errors.drift = drift.driftRadPerS - truth.driftRadPerS;
  return errors;
}

/** The benches of one robot after the other, and what was applied of each. */
function benchAt(how: MeasuredHow, seed: number, i: number) {
  const random = generator(seed * 100_003 + i * 7919);
  const truth = robotAt(random);
  return { truth, random, bench: benchOf(how, truth, random) };
}

const inputOf = (route: (typeof ROUTES)[string], bench: unknown, seed: number) =>
  forecastInput.parse({ ...askedOf(route), bench, runs: 250, seed });

/**
 * How far each figure that benches tell is truly off: the root of the mean square over so many of them.
 *
 * @returns by the name of its source, in that source's own unit
 */
export function samplingErrors(how: MeasuredHow, benches: number, seed: number) {
  const [route] = Object.values(ROUTES);
  const squares = new Map<string, number[]>();
  if (route === undefined) return new Map<string, number>();
  for (let i = 0; i < benches; i += 1) {
    const { truth, random, bench } = benchAt(how, seed, i);
    const values = applied(inputOf(route, bench, 1).bench);
    for (const [name, error] of Object.entries(errorsOf(values, truth, random))) {
      if (Number.isFinite(error)) squares.set(name, [...(squares.get(name) ?? []), error * error]);
    }
  }
  return new Map(
    [...squares].map(([name, all]) => [
      name,
      Math.sqrt(all.reduce((sum, square) => sum + square, 0) / all.length),
    ]),
  );
}

const WIDTHS: Record<string, (found: Forecast) => number> = {
  xM: ({ endOfRobot: end }) => (end === null ? NaN : end.xM.high95 - end.xM.low95),
  yM: ({ endOfRobot: end }) => (end === null ? NaN : end.yM.high95 - end.yM.low95),
  headingRad: ({ endOfRobot: end }) =>
    end === null ? NaN : end.headingRad.high95 - end.headingRad.low95,
  chance: ({ missions: [first] }) => (first === undefined ? NaN : first.high - first.low),
};

/**
 * How many times as wide forecasts are as those that are given each figure's true sampling error: ratios of the
 * median widths.
 */
export function widthsBesideKnown(
  how: MeasuredHow,
  routeName: string,
  robots: number,
  known: ReadonlyMap<string, number>,
  seed: number,
): Record<string, number> {
  const route = ROUTES[routeName];
  if (route === undefined) throw new Error(routeName);
  const widths = new Map<string, { told: number[]; best: number[] }>();
  for (let i = 0; i < robots; i += 1) {
    const { bench } = benchAt(how, seed + 1, i);
    const { runs, ...input } = inputOf(route, bench, i + 1);
    const simulation = simulationOf(input);
    const widthsOf = (doubts: readonly Doubt[]) => {
      const one = { ...simulation, doubts };
      const all = simulateAll(one, runs);
      if ('sentence' in all) throw new Error(all.sentence);
      const found = forecast(one, all.runs, sensitivitiesOf(one));
      return Object.entries(WIDTHS).map(([name, width]) => [name, width(found)] as const);
    };
    const best = simulation.doubts.map((doubt) => ({
      ...doubt,
      sdRobot: known.get(doubt.name) ?? doubt.sdRobot,
    }));
    const told = widthsOf(simulation.doubts);
    for (const [at, [name, width]] of widthsOf(best).entries()) {
      const both = widths.get(name) ?? { told: [], best: [] };
      both.best.push(width);
      both.told.push(told[at]?.[1] ?? NaN);
      widths.set(name, both);
    }
  }
  return Object.fromEntries(
    [...widths].map(([name, { told, best }]) => [name, median(told) / median(best)]),
  );
}
