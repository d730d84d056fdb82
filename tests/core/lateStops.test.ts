import { describe, expect, it } from 'vitest';
import { fittedRobot } from '../../src/core/calibration/fittedRobot';
import { calibrationFromStops } from '../../src/core/calibration/kinds/stop/fromStudy';
import { plannedEnd, planRoute } from '../../src/core/course/plan';
import { motionsOf } from '../../src/core/steps/tree';
import { notesOnStep } from '../../src/core/course/programSentence';
import { overrunM } from '../../src/core/control/overrun';
import { stopModel } from '../../src/core/ranging/stopModel';
import { ownOverrun } from '../../src/core/simulate/lateStops';
import { prepare } from '../../src/core/forecast/prepare';
import { simulateRun } from '../../src/core/forecast/run';
import { mean, sampleSd } from '../../src/core/stats/moments';
import { pipit } from '../../src/server/demo/scenario';
import { changedParts, staleSince } from '../../src/core/calibration/robotChanges';
import type { Robot } from '../../src/core/robot/robot';
import { bareTable, idealRobot, routeOf, withoutDevices, withDevice } from './support';

const sensor = { kind: 'distance sensor', place: { aheadM: 0.11, leftM: 0 } };
const exact = { noiseM: 0, quantumM: 0, lostEchoShare: 0, periodS: 0.02, beamHalfAngleRad: 0 };
const robot = withDevice(idealRobot, { ...sensor, behaviour: exact });
const approach = (speedMPerS: number) => ({ kind: 'approach', thresholdM: 0.2, speedMPerS });
const stop = {
  kind: 'stop' as const,
  lagS: 0.12,
  brakingMPerS2: 0.9,
  residualSdM: 0.003,
  n: 12,
  slowestMPerS: 0.1,
  fastestMPerS: 0.3,
};

const endsAt = (speedMPerS: number, fitted: typeof robot) => {
  const start = { xM: 2.6, yM: 1.5, headingRad: 0 };
  const route = routeOf([approach(speedMPerS)], start);
  const simulation = { robot: fitted, route, table: bareTable, seed: 4 };
  const prepared = prepare(simulation);
  const ends = Array.from({ length: 120 }, (_, i) => simulateRun(simulation, prepared, i).end);
  return { ends, planned: plannedEnd(route, planRoute(route, fitted, bareTable)) };
};

describe('stops by distance that were measured', () => {
  it('a simulated robot drives on by itself: half a period, then as its wheels brake', () => {
    const v = 0.3;
    const { meanM } = ownOverrun(robot, v);
    expect(meanM).toBeGreaterThan((v * 0.02) / 2 + v ** 2 / (2 * 3) - 0.001);
    expect(meanM).toBeLessThan((v * 0.02) / 2 + v ** 2 / (2 * 3) + 0.002);
    expect(ownOverrun(idealRobot, v)).toEqual({ meanM: 0, sdM: 0 });
  });

  it.each([0.1, 0.2, 0.35])('stop in the simulation as they were measured, at %d m/s', (v) => {
    const { ends, planned } = endsAt(v, fittedRobot(robot, [stop]).robot);
    const beyond = ends.map(({ xM }) => xM - (4 - 0.11 - 0.2));
    expect(Math.abs(mean(beyond) - overrunM(stop, v))).toBeLessThan(0.0015);
    expect(planned.xM - (4 - 0.11 - 0.2)).toBeCloseTo(overrunM(stop, v), 9);
    expect(sampleSd(beyond)).toBeGreaterThan(0.0024);
    expect(sampleSd(beyond)).toBeLessThan(0.0037);
  });

  it('also where the real robot stops sooner than the record would have it', () => {
    const soft = { ...robot, motors: { ...robot.motors, maxAccelerationMPerS2: 0.8 } };
    const quick = { ...stop, lagS: 0.02, brakingMPerS2: null };
    const { ends } = endsAt(0.2, fittedRobot(soft, [quick]).robot);
    expect(mean(ends.map(({ xM }) => xM)) - (4 - 0.11 - 0.2)).toBeCloseTo(0.004, 2.6);
  });

  it('say on the step card that it drives on; nothing where nobody has measured it', () => {
    const [step] = motionsOf(routeOf([approach(0.2)]).steps);
    if (step === undefined) throw new Error('no step');
    expect(notesOnStep(fittedRobot(robot, [stop]).robot, step)).toEqual([
      'It drives on by 46 mm after that.',
    ]);
    expect(notesOnStep(robot, step)).toEqual([]);
    expect(fittedRobot(pipit, []).robot.measured.stop).toBeNull();
  });

  it('no longer hold when the sensor was swapped or moved, or the wheels were changed', () => {
    const made = { at: new Date('2026-11-20'), unitId: null };
    const since = (after: Robot) =>
      staleSince(
        'stop',
        made,
        changedParts(robot, after).map((part) => ({ part, changedAt: new Date('2026-11-21') })),
      );
    const swapped = withDevice(withoutDevices(robot, 'distance sensor'), sensor);
    expect(since(swapped)).toEqual(['distance sensor']);
    expect(since({ ...robot, wheelDiameterM: 0.062 })).toEqual(['wheels and track']);
    expect(since({ ...robot, loopPeriodS: 0.02 })).toEqual([]);
  });

  it('come from trials only where these tell how single stops scatter', () => {
    const trials = [0.1, 0.1, 0.3, 0.3].map((speedMPerS, i) => ({
      speedMPerS,
      thresholdM: 0.2,
      stopM: 0.2 - overrunM(stop, speedMPerS) + (i % 2 === 0 ? 0.001 : -0.001),
    }));
    const value = (some: typeof trials) => {
      const model = stopModel(some);
      return model && calibrationFromStops(model, some);
    };
    expect(value(trials)).toMatchObject({
      kind: 'stop',
      n: 4,
      slowestMPerS: 0.1,
      fastestMPerS: 0.3,
    });
    expect(value(trials)?.lagS).toBeCloseTo(0.12, 2);
    expect(value(trials.slice(0, 1))).toBeNull();
  });
});
