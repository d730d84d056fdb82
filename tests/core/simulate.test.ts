import normalCdf from '@stdlib/stats-base-dists-normal-cdf';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { planRoute, plannedEnd } from '../../src/core/course/plan';
import { tableSchema } from '../../src/core/table/table';
import type { Robot } from '../../src/core/robot/robot';
import type { Route } from '../../src/core/course/route';
import { mean, sampleSd } from '../../src/core/stats/moments';
import { randomStream } from '../../src/core/stats/random';
import { prepare } from '../../src/core/forecast/prepare';
import { simulateRun } from '../../src/core/forecast/run';
import type { SimulatedRun } from '../../src/core/forecast/simulatedRun';
import { simulateRange } from '../../src/core/forecast/simulateRange';
import { withHeading } from '../../src/core/devices/ofRobot';
import { bareTable, deg, idealRobot, routeOf, withDevice } from './support';

const once = (robot: Robot, route: Route, table = bareTable, runIndex = 0): SimulatedRun =>
  simulateRun(
    { robot, table, route, seed: 1 },
    prepare({ robot, table, route, seed: 1 }),
    runIndex,
  );

const straight = { kind: 'straight', distanceM: 1, speedMPerS: 0.3 };
const turn = { kind: 'turn', mode: 'to', angleRad: deg(90), leadRad: 0, rateRadPerS: 0.5 };

describe('random streams', () => {
  it('depend on seed, run and source, and on nothing else', () => {
    const first = (seed: number, run: number, source: string) =>
      randomStream(seed, run, source).uniform();
    expect(first(1, 2, 'gyro')).toBe(first(1, 2, 'gyro'));
    const others = [first(2, 2, 'gyro'), first(1, 3, 'gyro'), first(1, 2, 'slip')];
    expect(new Set([first(1, 2, 'gyro'), ...others]).size).toBe(4);
  });

  it('are normal: the greatest distance from the distribution is what chance allows, tails included', () => {
    const random = randomStream(3, 0, 'normal');
    const n = 400_000;
    const values = Float64Array.from({ length: n }, () => random.normal()).sort();
    // Kolmogorov: 1.95/√n is exceeded once in a thousand.
    const distances = values.map((value, i) => Math.abs(normalCdf(value, 0, 1) - (i + 0.5) / n));
    expect(distances.reduce((a, b) => Math.max(a, b))).toBeLessThan(1.95 / Math.sqrt(n));
    // Beyond 3.4426 the tail is drawn in another way: 1 in 1,737 numbers.
    const far = values.filter((value) => Math.abs(value) > 3.4426).length;
    const expected = 2 * n * normalCdf(-3.4426, 0, 1);
    expect(Math.abs(far - expected)).toBeLessThan(3.3 * Math.sqrt(expected));
    expect(values[0]).toBeLessThan(-4);
    expect(values[n - 1]).toBeGreaterThan(4);
  });

  it('are uncorrelated from one number to the next', () => {
    const random = randomStream(8, 1, 'normal');
    const values = Array.from({ length: 100_000 }, () => random.normal());
    const products = values.slice(1).map((value, i) => value * (values[i] ?? 0));
    expect(Math.abs(mean(products))).toBeLessThan(3.3 / Math.sqrt(products.length));
  });
});

describe('the simulated robot', () => {
  it('without errors ends where the plan says', () => {
    const route = routeOf([straight, turn, { ...straight, distanceM: 0.5 }]);
    const { end } = once(idealRobot, route);
    const target = plannedEnd(route, planRoute(route, idealRobot, bareTable));
    expect(end.failedStep).toBeNull();
    expect(Math.hypot(end.xM - target.xM, end.yM - target.yM)).toBeLessThan(0.003);
    expect(Math.abs(end.headingRad - target.headingRad)).toBeLessThan(deg(0.5));
  });

  it('falls short by exactly as much as its wheels are smaller than recorded', () => {
    const small = { ...idealRobot, errors: { ...idealRobot.errors, wheelScaleError: -0.02 } };
    const travelled = once(small, routeOf([straight])).end.xM - 1;
    const right = once(idealRobot, routeOf([straight])).end.xM - 1;
    expect(travelled / right).toBeCloseTo(0.98, 3);
  });

  it('curves by drift: the heading held is wrong by drift × time', () => {
    const drifting = withHeading(idealRobot, { driftRadPerS: deg(0.5) });
    const { end } = once(drifting, routeOf([{ ...straight, distanceM: 2 }]));
    expect(end.headingRad / end.timeS).toBeCloseTo(-deg(0.5), 3);
  });

  it('turns too little by the scale of its gyro, too far by its lag', () => {
    const scaled = withHeading(idealRobot, { scaleError: 0.02 });
    expect(once(scaled, routeOf([turn])).end.headingRad).toBeCloseTo(deg(90) / 1.02, 2);
    const late = (rateRadPerS: number) => {
      return once(withHeading(idealRobot, { latencyS: 0.05 }), routeOf([{ ...turn, rateRadPerS }]))
        .end.headingRad;
    };
    // Overshoot is rate × latency, apart from the braking that both share.
    expect(
      late(1) - once(idealRobot, routeOf([{ ...turn, rateRadPerS: 1 }])).end.headingRad,
    ).toBeCloseTo(0.05, 2);
  });

  it('approaches until the reading is at the threshold, and fails without a sensor', () => {
    const exact = { noiseM: 0, quantumM: 0, lostEchoShare: 0, beamHalfAngleRad: 0, periodS: 0.01 };
    const seeing = withDevice(idealRobot, {
      kind: 'distance sensor',
      place: { aheadM: 0.1 },
      behaviour: { ...exact, maxM: 4, offsetM: 0.01 },
    });
    const route = routeOf([{ kind: 'approach', thresholdM: 0.3, speedMPerS: 0.05 }]);
    // Wall at 4 m; reading = true + 10 mm, so it stops 0.29 m before it, a loop or two late.
    expect(4 - (once(seeing, route).end.xM + 0.1)).toBeCloseTo(0.29, 2);
    expect(once(idealRobot, route).end.failedStep).toBe(0);
  });

  it('stops at a wall that stands on the table, and never leaves the table', () => {
    const table = tableSchema.parse({
      widthM: 4,
      heightM: 3,
      walls: [{ x1M: 2, y1M: 0.5, x2M: 2, y2M: 1.5 }],
    });
    const stopped = once(idealRobot, routeOf([{ ...straight, distanceM: 2 }]), table).end;
    expect(stopped.failedStep).toBe(0);
    expect(stopped.xM + idealRobot.body.frontM).toBeLessThan(2.002);
    const pressed = once(idealRobot, routeOf([{ ...straight, distanceM: 3.5 }])).end;
    expect(pressed.xM + idealRobot.body.frontM).toBeLessThan(4.01);
  });

  it('scatters at the start as it is placed, and the same whichever worker runs it', () => {
    const route = {
      ...routeOf([]),
      placement: { alongSdM: 0.01, acrossSdM: 0.003, headingSdRad: deg(1) },
    };
    const simulation = { robot: idealRobot, table: bareTable, route, seed: 9 };
    const all: SimulatedRun[] = [];
    simulateRange(simulation, 0, 400, (_, run) => all.push(run));
    expect(sampleSd(all.map(({ end }) => end.xM))).toBeCloseTo(0.01, 2.8);
    expect(sampleSd(all.map(({ end }) => end.yM))).toBeCloseTo(0.003, 3.2);
    const part: SimulatedRun[] = [];
    simulateRange(simulation, 100, 120, (_, run) => part.push(run));
    expect(part).toEqual(all.slice(100, 120));
  });

  it('keeps to time-outs and finite poses for any route that can be written down', () => {
    const step = fc.oneof(
      fc.record({
        kind: fc.constant('straight'),
        distanceM: fc.double({ min: -3, max: 3, noNaN: true }),
        speedMPerS: fc.double({ min: 0.05, max: 0.6, noNaN: true }),
        gainMPerSPerRad: fc.double({ min: 0, max: 5, noNaN: true }),
      }),
      fc.record({
        kind: fc.constant('turn'),
        mode: fc.constantFrom('to', 'by'),
        angleRad: fc.double({ min: -7, max: 7, noNaN: true }),
        direction: fc.constantFrom('short', 'left', 'right'),
        rateRadPerS: fc.double({ min: 0.2, max: 5, noNaN: true }),
      }),
    );
    fc.assert(
      fc.property(fc.array(step, { maxLength: 4 }), fc.nat(1000), (steps, runIndex) => {
        const { end } = once(idealRobot, routeOf(steps), bareTable, runIndex);
        expect(Object.values(end).every((value) => value === null || Number.isFinite(value))).toBe(
          true,
        );
        expect(end.timeS).toBeLessThan(301);
      }),
      { numRuns: 25 },
    );
  });
});
