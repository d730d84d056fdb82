import { describe, expect, it } from 'vitest';
import type { SpeedCalibration } from '../../src/core/calibrationValues/speed';
import { fittedRobot } from '../../src/core/calibration/fittedRobot';
import { tableSchema } from '../../src/core/table/table';
import type { SimulatedRun } from '../../src/core/forecast/simulatedRun';
import { simulateRange } from '../../src/core/forecast/simulateRange';
import { doubtsOf, sampledRobot } from '../../src/core/sources/sources';
import { sampleSd } from '../../src/core/stats/moments';
import { idealRobot, routeOf } from './support';

const timed = (highestCommand: number): SpeedCalibration => ({
  kind: 'speed',
  gainMPerSPerV: 0.1,
  deadBand: 0.05,
  residualShare: 0.01,
  batteryV: 8,
  lowestCommand: 0.2,
  highestCommand,
});
const doubt = (...values: SpeedCalibration[]) =>
  doubtsOf(values).find(({ name }) => name === 'top speed');

describe('how fast a robot drives at most', () => {
  it('is guessed until full power was timed, and then known as well as drives repeat', () => {
    expect(doubt()).toMatchObject({ measured: false });
    expect(doubt(timed(0.6))).toEqual(doubt());
    expect(doubt(timed(1))).toMatchObject({ measured: true, sdRobot: 0.01 });
    expect(doubt()?.sdRobot).toBeGreaterThan(0.01);
  });

  it('differs from one sampled robot to the next as far as it is not known', () => {
    const fastest = (values: SpeedCalibration[]) => {
      const { robot } = fittedRobot(idealRobot, values);
      return Array.from({ length: 400 }, (_, i) => {
        const one = sampledRobot(robot, doubtsOf(values), 1, i);
        return one.robot.motors.maxSpeedMPerS / robot.motors.maxSpeedMPerS;
      });
    };
    // A standard deviation of 400 is known to 3.5 %.
    expect(sampleSd(fastest([])) / 0.05).toBeCloseTo(1, 0.9);
    expect(sampleSd(fastest([timed(1)])) / 0.01).toBeCloseTo(1, 0.9);
  });

  it('limits a drive that is told to be faster: it takes the longer for it', () => {
    const table = tableSchema.parse({ widthM: 4, heightM: 3, missions: [] });
    const route = routeOf([{ kind: 'straight', distanceM: 1.5, speedMPerS: 2 }], {
      xM: 0.5,
      yM: 1.5,
      headingRad: 0,
    });
    const seconds = (highestCommand: number, gainMPerSPerV: number) => {
      const { robot } = fittedRobot(idealRobot, [{ ...timed(highestCommand), gainMPerSPerV }]);
      let taken = Number.NaN;
      const simulation = { robot, turns: null, table, route, seed: 1, doubts: [] };
      simulateRange(simulation, 0, 1, (_, run: SimulatedRun) => {
        taken = run.end.timeS;
      });
      return { taken, mPerS: robot.motors.maxSpeedMPerS };
    };
    const [slow, fast] = [seconds(1, 0.05), seconds(1, 0.1)];
    expect(slow.mPerS).toBeCloseTo(0.38, 9);
    expect(fast.mPerS).toBeCloseTo(0.76, 9);
    // Speeding up and slowing down cost little beside a metre and a half at such speeds.
    expect(slow.taken).toBeGreaterThan(1.5 / 0.38);
    expect(slow.taken / fast.taken).toBeGreaterThan(1.5);
    // Where only weak powers were timed, the record's top speed stays.
    expect(seconds(0.5, 0.05).mPerS).toBe(idealRobot.motors.maxSpeedMPerS);
  });
});
