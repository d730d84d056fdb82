import { describe, expect, it } from 'vitest';
import { missionSchema, tableSchema } from '../../src/core/table/table';
import { forecastSentence } from '../../src/core/forecast/sentence';
import { forecast } from '../../src/core/forecast/summary';
import type { Simulation } from '../../src/core/forecast/prepare';
import type { SimulatedRun } from '../../src/core/forecast/simulatedRun';
import { simulateRange, traceRun } from '../../src/core/forecast/simulateRange';
import type { Robot } from '../../src/core/robot/robot';
import { sampleSd } from '../../src/core/stats/moments';
import { pipit, ROUTE_VERSIONS, winterGarden } from '../../src/server/demo/scenario';
import { deg, idealRobot, routeOf } from './support';

const mission = missionSchema.parse({
  id: 'm',
  name: 'sundial',
  pose: { xM: 2, yM: 1, headingRad: 0 },
  window: { alongM: 0.01, acrossM: 0.01, headingRad: deg(10) },
  points: 20,
});
const table = tableSchema.parse({ widthM: 4, heightM: 3, missions: [mission] });
const mark = { kind: 'mark', missionId: 'm', dwellS: 0.1 };

function runsOf(simulation: Simulation, count: number): SimulatedRun[] {
  const runs: SimulatedRun[] = [];
  simulateRange(simulation, 0, count, (_, run) => runs.push(run));
  return runs;
}

const straightRuns = (robot: Robot, distanceM: number, count = 300) => {
  const start = { xM: 2 - distanceM, yM: 1, headingRad: 0 };
  const route = routeOf([{ kind: 'straight', distanceM, speedMPerS: 0.4 }, mark], start);
  const simulation = { robot, table, route, seed: 3 };
  return { simulation, runs: runsOf(simulation, count) };
};

describe('what a simulation forecasts', () => {
  it('is the share of runs whose pose at the mark lies in the window', () => {
    const { simulation, runs } = straightRuns(idealRobot, 1, 20);
    const sure = forecast(simulation, runs);
    expect(sure.missions[0]?.chance.rate).toBe(1);
    expect(sure.expectedPoints).toBe(20);
    expect(forecastSentence(sure)).toMatch(
      /^The sundial works in 100 of 100 runs; between 8\d and 100\./,
    );

    // Placed with 10 mm scatter along, a window of ±10 mm holds 68 %.
    const route = {
      ...simulation.route,
      placement: { alongSdM: 0.01, acrossSdM: 0, headingSdRad: 0 },
    };
    const scattered = { ...simulation, route };
    const some = forecast(scattered, runsOf(scattered, 400));
    // Of 400 runs: 0.683 ± three of its standard errors.
    expect(some.missions[0]?.chance.rate).toBeGreaterThan(0.613);
    expect(some.missions[0]?.chance.rate).toBeLessThan(0.753);
    const chance = some.missions[0]?.chance.rate ?? 0;
    expect(some.expectedPoints).toBeCloseTo(20 * chance, 9);
    expect(some.points).toEqual([
      { points: 0, share: expect.closeTo(1 - chance, 9) },
      { points: 20, share: chance },
    ]);
    // The best of three scores unless all three fail.
    expect(some.bestOfThree).toBeCloseTo(20 * (1 - (1 - chance) ** 3), 9);
    expect(forecastSentence(some)).toMatch(/^The sundial works in \d\d of 100 runs; between/);
  });

  it('counts a run that stopped on the way as a failure of what comes after', () => {
    const { simulation } = straightRuns(idealRobot, 1, 1);
    const blocked = {
      ...simulation,
      table: { ...table, walls: [{ x1M: 1.5, y1M: 0.5, x2M: 1.5, y2M: 1.5 }] },
    };
    const found = forecast(blocked, runsOf(blocked, 10));
    expect(found.missions[0]?.chance.rate).toBe(0);
    expect(found.failures).toMatchObject([{ step: '1', runs: 10 }]);
    expect(forecastSentence(found)).toContain(
      '10 runs stopped on the way: at step 1, into wall 1 of the table',
    );
    expect(found.missions[0]?.why).toBe('No run gets as far as step 2.');
  });

  it('says by how much the pose differs where a mission never works, and at which step', () => {
    const { simulation } = straightRuns(idealRobot, 1, 1);
    const sideways = { ...mission, pose: { ...mission.pose, headingRad: deg(90), yM: 1.06 } };
    const turned = { ...simulation, table: { ...table, missions: [sideways] } };
    const found = forecast(turned, runsOf(turned, 10));
    expect(found.missions[0]?.why).toMatch(
      /^At step 2 the robot faces 0° there, and the mission wants 90° ± 10°; .*60 mm/,
    );
  });

  it('says when no mission is worked at all', () => {
    const simulation = { robot: idealRobot, table, route: routeOf([]), seed: 1 };
    expect(forecastSentence(forecast(simulation, runsOf(simulation, 5)))).toMatch(
      /^No mission is worked/,
    );
  });
});

describe('where the scatter of simulated runs comes from', () => {
  it('slip grows with the root of the distance', () => {
    const slipping = { ...idealRobot, errors: { ...idealRobot.errors, slipMPerSqrtM: 0.004 } };
    const along = (distanceM: number) =>
      sampleSd(straightRuns(slipping, distanceM).runs.map(({ end }) => end.xM));
    const ratio = along(1.6) / along(0.4);
    expect(ratio).toBeGreaterThan(1.7);
    expect(ratio).toBeLessThan(2.3);
    // Both wheels slip on their own: their mean scatters by 1/√2 of one.
    expect(along(1)).toBeGreaterThan(0.9 * (0.004 / Math.SQRT2));
    expect(along(1)).toBeLessThan(1.15 * (0.004 / Math.SQRT2));
  });

  it('the heading held by the gyro stays straight though one wheel is larger', () => {
    const uneven = { ...idealRobot, errors: { ...idealRobot.errors, wheelDifference: 0.02 } };
    const held = straightRuns(uneven, 1.5, 1).runs[0]?.end;
    expect(Math.abs((held?.yM ?? 9) - 1)).toBeLessThan(0.02);
    const route = routeOf(
      [{ kind: 'straight', distanceM: 1.5, speedMPerS: 0.4, gainMPerSPerRad: 0 }],
      { xM: 0.5, yM: 1, headingRad: 0 },
    );
    const [open] = runsOf({ robot: uneven, table, route, seed: 3 }, 1);
    // Unheld it curves left: 2 % over a track of 13 cm after 1.5 m is 13°.
    expect(open?.end.headingRad).toBeCloseTo((0.02 * 1.5) / 0.13, 1);
  });

  it('holds the heading backwards as well', () => {
    const uneven = { ...idealRobot, errors: { ...idealRobot.errors, wheelDifference: 0.02 } };
    const route = routeOf([{ kind: 'straight', distanceM: -1.5, speedMPerS: 0.4 }], {
      xM: 3,
      yM: 1,
      headingRad: 0,
    });
    const [back] = runsOf({ robot: uneven, table, route, seed: 3 }, 1);
    expect(back?.end.xM).toBeCloseTo(1.5, 1);
    expect(Math.abs((back?.end.yM ?? 9) - 1)).toBeLessThan(0.02);
  });

  it('a turn to a heading takes out what the turns before left over; a turn by an angle does not', () => {
    const turns = (mode: 'to' | 'by') => {
      const second = mode === 'to' ? deg(180) : deg(90);
      const route = routeOf(
        [
          { kind: 'turn', mode: 'by', angleRad: deg(90), leadRad: deg(6), rateRadPerS: 1.5 },
          { kind: 'turn', mode, angleRad: second, direction: 'left', leadRad: 0, rateRadPerS: 0.4 },
        ],
        { xM: 2, yM: 1.5, headingRad: 0 },
      );
      const [run] = runsOf({ robot: idealRobot, table, route, seed: 1 }, 1);
      return Math.abs(run?.end.headingRad ?? 0);
    };
    // The first turn stops about 6° early.
    expect(Math.abs(turns('to') - deg(180))).toBeLessThan(deg(1));
    expect(deg(180) - turns('by')).toBeGreaterThan(deg(3));
  });
});

describe('the trace of a run', () => {
  it('has truth and readings side by side, in time, and ends where the run ends', () => {
    const route = ROUTE_VERSIONS[2]?.route;
    if (route === undefined) throw new Error('no route');
    const simulation = { robot: pipit, table: winterGarden, route, seed: 12 };
    const trace = traceRun(simulation, 0);
    const [run] = runsOf(simulation, 1);
    const last = trace.at(-1);
    expect(trace.every(({ tS }, i) => i === 0 || tS > (trace[i - 1]?.tS ?? 0))).toBe(true);
    expect(
      Math.hypot((last?.xM ?? 0) - (run?.end.xM ?? 9), (last?.yM ?? 0) - (run?.end.yM ?? 9)),
    ).toBeLessThan(0.005);
    // A gyro with hardly any drift reads the true turning; encoders only grow on the first straight.
    const worst = Math.max(
      ...trace.map((s) =>
        Math.abs(s.headingReadingRad - (s.headingRad - (trace[0]?.headingRad ?? 0))),
      ),
    );
    expect(worst).toBeLessThan(deg(4));
    const first = trace.filter(({ step }) => step === 0).map(({ leftEncoderM }) => leftEncoderM);
    expect(first.every((value, i) => i === 0 || value >= (first[i - 1] ?? 0))).toBe(true);
  });
});
