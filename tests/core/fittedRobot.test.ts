import { describe, expect, it } from 'vitest';
import { withTurnCalibration } from '../../src/core/calibration/applyTurns';
import { stopOf } from '../../src/core/calibrationValues/turnStop';
import type { TurnsCalibration } from '../../src/core/calibrationValues/turns';
import { fittedRobot } from '../../src/core/calibration/fittedRobot';
import { calibrationFromTurns } from '../../src/core/calibration/kinds/turns/fromStudy';
import { robotSchema, type Robot } from '../../src/core/robot/robot';
import { OPEN_FLOOR } from '../../src/core/simulate/floor';
import { randomStream } from '../../src/core/stats/random';
import type { SimulatedRun } from '../../src/core/forecast/simulatedRun';
import { simulateRange } from '../../src/core/forecast/simulateRange';
import { runBenchProgram } from '../../src/core/standIn/program';
import { mean, sampleSd } from '../../src/core/stats/moments';
import { ownStop } from '../../src/core/turns/ownStop';
import { turnModel } from '../../src/core/turns/turnModel';
import { withHeading } from '../../src/core/devices/ofRobot';
import { deg, routeOf } from './support';

const record = robotSchema.parse({ wheelDiameterM: 0.056, trackM: 0.13 });

/** The true robot: slower to stop than its record says, and not to the same degree each time. */
const truth: Robot = {
  ...withHeading(record, { latencyS: 0.025, scaleError: 0.004, noiseRadPerSqrtS: deg(0.015) }),
  motors: { ...record.motors, lagS: 0.055, maxAccelerationMPerS2: 2.4 },
};

/** What a team finds of it on the bench, with a protractor that is good to a third of a degree. */
function measured(rates: readonly number[], seed: number): TurnsCalibration {
  const random = randomStream(seed, 0, 'protractor');
  const trials = rates.flatMap((rateRadPerS) =>
    [45, -45, 90, -90, 180, -180, 90, -90, 45, -45].map((degrees, i) => {
      const angleRad = deg(degrees);
      const how = { school: 'stop-early' as const, rateRadPerS, leadRad: 0 };
      const samples = runBenchProgram(truth, [{ kind: 'turn', angleRad, how }], 100 * seed + i);
      const turned = samples.at(-1)?.pose.headingRad ?? 0;
      return {
        targetRad: angleRad,
        actualRad: turned + deg(0.33) * random.normal(),
        rateRadPerS,
        kind: 'spin' as const,
      };
    }),
  );
  const wantedRad = [deg(90), deg(-90)];
  return calibrationFromTurns(turnModel(trials, 0, wantedRad));
}

/** Headings at the end of so many simulated single turns, as the calibration commands them. */
function simulated(turns: TurnsCalibration, angleRad: number, rateRadPerS: number, count: number) {
  const { robot } = fittedRobot(record, [turns]);
  const start = { xM: 10, yM: 10, headingRad: 0 };
  const plain = routeOf([{ kind: 'turn', mode: 'by', angleRad, rateRadPerS }], start);
  const { route } = withTurnCalibration(plain, robot, OPEN_FLOOR, turns, 'c');
  const runs: SimulatedRun[] = [];
  const simulation = { robot, table: OPEN_FLOOR, route, seed: 4, turns };
  simulateRange(simulation, 0, count, (_, run) => runs.push(run));
  return runs.map(({ end }) => end.headingRad);
}

describe('one fitted robot', () => {
  it.each([
    { rates: [1.5, 3], rate: 1.5, degrees: 90 },
    { rates: [1.5, 3], rate: 3, degrees: -120 },
    { rates: [2], rate: 2, degrees: 45 },
    // Not tried at this rate: commanded and simulated by the lag and braking that were found.
    { rates: [1.2, 3], rate: 2, degrees: -90 },
  ])(
    'turned at $rate rad/s by $degrees° as calibrated comes out right',
    ({ rates, rate, degrees }) => {
      const turns = measured(rates, 3);
      const ends = simulated(turns, deg(degrees), rate, 600);
      const error = mean(ends) - deg(degrees);
      // A tenth of the scatter, and what the mean of 600 turns is known to.
      const sd = sampleSd(ends);
      expect(Math.abs(error)).toBeLessThan(0.1 * sd + (2 * sd) / Math.sqrt(600));
      expect(sd).toBeGreaterThan(deg(0.2));
    },
  );

  it.each([3, 5, 6, 8])(
    'scatters as its trials did, and never less than the robot itself: %i',
    (seed) => {
      const turns = measured([1.5, 3], seed);
      const group = turns.groups.find(({ rates }) => rates.includes(1.5));
      const own = ownStop(fittedRobot(record, [turns]).robot, deg(90), 1.5).sdRad;
      const most = Math.max(own, group?.residualSdRad ?? Number.NaN);
      const sd = sampleSd(simulated(turns, deg(90), 1.5, 600));
      expect(sd / most).toBeGreaterThan(0.85);
      expect(sd / most).toBeLessThan(1.15);
    },
  );

  it('stops its turns as late as the trials did, by itself, at rates that were tried and between', () => {
    const turns = measured([1.5, 3], 9);
    const { robot } = fittedRobot(record, [turns]);
    for (const rate of [1.5, 2.2, 3]) {
      const wanted = stopOf(turns, deg(90), rate);
      const { meanRad } = ownStop(robot, deg(90), rate);
      const told = (wanted?.constantRad ?? Number.NaN) + (wanted?.scaleError ?? 0) * deg(90);
      expect(Math.abs(meanRad - told)).toBeLessThan(deg(1));
    }
    // Of one rate neither lag nor braking can be told; the stop at that rate can.
    const one = measured([2], 9);
    const stop = stopOf(one, deg(90), 2);
    const single = ownStop(fittedRobot(record, [one]).robot, deg(90), 2).meanRad;
    expect(one.lagS).toBeNull();
    const found = (stop?.constantRad ?? Number.NaN) + (stop?.scaleError ?? 0) * deg(90);
    // The sensor shows every 10 ms: at this rate 1.1° of a turn.
    expect(Math.abs(single - found)).toBeLessThan(deg(1.1));
  });

  it('is the same whichever calibration comes first, and turns on the track of the laps', () => {
    const turns = measured([1.5, 3], 7);
    const drive = {
      kind: 'drive' as const,
      trackRatio: 1.03,
      leftWheelFactor: 0.999,
      rightWheelFactor: 1.001,
    };
    const one = fittedRobot(record, [turns, drive]);
    expect(one).toEqual(fittedRobot(record, [drive, turns]));
    expect(one.robot.trackM).toBeCloseTo(0.13 * 1.03, 9);
  });

  it('without any calibration is its record', () => {
    expect(fittedRobot(record, [])).toEqual({ robot: record, turns: null });
  });
});
