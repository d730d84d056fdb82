import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { describeStep } from '../../src/core/course/describe';
import { plannedEnd, planRoute } from '../../src/core/course/plan';
import { prepare } from '../../src/core/forecast/prepare';
import { simulateRun } from '../../src/core/forecast/run';
import { lineShares } from '../../src/core/sensing/lineShares';
import { stepSchema } from '../../src/core/steps/step';
import { linesAhead } from '../../src/core/table/linesAhead';
import { bareTable, idealRobot, routeOf, withDevice } from './support';

const across = (xM: number, widthM = 0.02) => ({ x1M: xM, y1M: 0, x2M: xM, y2M: 3, widthM });
const LINES = [across(1.2), across(1.5), across(1.9)];
const robot = withDevice(
  withDevice(idealRobot, { kind: 'light sensor', label: 'front', place: { aheadM: 0.06 } }),
  { kind: 'light sensor', label: 'rear', place: { aheadM: -0.05 } },
);
const toLine = (part: object) => ({ id: 'l', kind: 'to-line', ...part });
const planOf = (step: object, lines = LINES) => {
  const route = routeOf([step]);
  const plan = planRoute(route, robot, { ...bareTable, lines });
  return {
    route,
    plan,
    end: plannedEnd(route, plan),
    problems: plan.flatMap((one) => one.problems),
  };
};

describe('lines ahead of a place', () => {
  it('are those that are met by going there step by step', () => {
    // On no edge exactly: what lies there is a matter of rounding.
    const coordinate = fc.integer({ min: 0, max: 2000 }).map((mm) => mm / 1000);
    const heading = fc.integer({ min: -300, max: 300 }).map((n) => n / 100 + 0.00314159);
    const line = fc
      .record({ x1M: coordinate, y1M: coordinate, x2M: coordinate, y2M: coordinate })
      .filter((one) => Math.hypot(one.x2M - one.x1M, one.y2M - one.y1M) > 0.1)
      .map((one) => ({ ...one, widthM: 0.05 }));
    fc.assert(
      fc.property(line, coordinate, coordinate, heading, (one, xM, yM, headingRad) => {
        const [ahead] = linesAhead([one], { xM, yM, headingRad });
        const length = Math.hypot(one.x2M - one.x1M, one.y2M - one.y1M);
        const isOn = (farM: number) => {
          const [px, py] = [
            xM + farM * Math.cos(headingRad) - one.x1M,
            yM + farM * Math.sin(headingRad) - one.y1M,
          ];
          const along = (px * (one.x2M - one.x1M) + py * (one.y2M - one.y1M)) / length;
          const off = (py * (one.x2M - one.x1M) - px * (one.y2M - one.y1M)) / length;
          return along >= 0 && along <= length && Math.abs(off) <= one.widthM / 2;
        };
        for (let farM = 0.0005; farM < 3; farM += 0.01) {
          const told = ahead !== undefined && farM >= ahead.fromM && farM <= ahead.toM;
          const nearEdge =
            ahead !== undefined &&
            Math.min(Math.abs(farM - ahead.fromM), Math.abs(farM - ahead.toM)) < 1e-6;
          if (!nearEdge) expect(told).toBe(isOn(farM));
        }
      }),
      { numRuns: 60 },
    );
  });

  it('that touch are one, and come in order', () => {
    const found = linesAhead([across(1.9), across(1.21), across(1.2)], {
      xM: 1,
      yM: 1,
      headingRad: 0,
    });
    expect(found.map(({ fromM }) => Math.round(1000 * fromM))).toEqual([190, 890]);
  });
});

describe('a step to a line', () => {
  const start = routeOf([]).start;

  it('is planned to the edge of the line that it counts to, onto it or off it, by either sensor', () => {
    const first = (part: object) => planOf(toLine(part)).end.xM;
    // A tenth of a spot of 12 mm past its edge, a look every 10 ms at 0.15 m/s, braking with 3 m/s².
    const onM = (0.1 * Math.PI * 0.012) / 4 + 0.15 * 0.005 + 0.15 ** 2 / (2 * 3);
    expect(first({})).toBeCloseTo(1.19 - 0.06 + onM, 5);
    expect(first({ count: 2 })).toBeCloseTo(1.49 - 0.06 + onM, 5);
    expect(first({ count: 2, on: 'leaving' })).toBeCloseTo(1.51 - 0.06 + onM, 5);
    expect(first({ sensor: 'rear' })).toBeCloseTo(1.19 + 0.05 + onM, 5);
    const behind = planOf(toLine({ back: true }), [across(start.xM - 0.3)]);
    expect(behind.end.xM).toBeCloseTo(start.xM - 0.29 - 0.06 - onM, 5);
  });

  it('says when no such line, or no such sensor, is there', () => {
    expect(planOf(toLine({ count: 4 })).problems).toEqual(['no-line-ahead']);
    expect(planOf(toLine({ back: true })).problems).toEqual(['no-line-ahead']);
    expect(planOf(toLine({ sensor: 'left' })).problems).toEqual(['no-such-sensor']);
  });

  it.each([{}, { count: 3 }, { on: 'leaving' }, { sensor: 'rear', count: 2 }])(
    'is driven to where it is planned on a robot without error: %j',
    (part) => {
      const { route, end } = planOf(toLine({ speedMPerS: 0.1, ...part }));
      const simulation = { robot, table: { ...bareTable, lines: LINES }, route, seed: 3 };
      const run = simulateRun(simulation, prepare(simulation), 0);
      // A reading comes every 10 ms.
      expect(Math.abs(run.end.xM - end.xM)).toBeLessThan(0.001);
      expect(run.end.failure).toBeNull();
    },
  );

  it('over a line that is not there it ends by its time-out', () => {
    const { route } = planOf(toLine({ timeoutS: 2 }));
    const simulation = { robot, table: bareTable, route, seed: 3 };
    expect(simulateRun(simulation, prepare(simulation), 0).end.failure).toBe('time');
  });

  it('is said in a sentence, its sensor and time-out where they are told', () => {
    const say = (part: object) => describeStep(stepSchema.parse(toLine(part)), []);
    expect(say({})).toBe(
      'Drive ahead until the light sensor goes onto line 1, darker than the floor, at 15 cm/s with gain 1.2',
    );
    expect(say({ sensor: 'rear', timeoutS: 3, back: true })).toMatch(
      /^Drive back until the light sensor rear goes onto .* giving up after 3/,
    );
  });

  it('a lighter line counts as far beyond the floor as a darker one lies before it', () => {
    const behaviour = {
      floorShare: 0.4,
      lineShare: 0.1,
      noiseShare: 0,
      spotDiameterM: 0.01,
      periodS: 0.01,
    };
    const [darker, lighter] = [lineShares(behaviour), lineShares(behaviour, 'lighter')];
    expect(darker.lineIs).toBe('darker');
    expect(lighter.enterShare - 0.4).toBeCloseTo(0.4 - darker.enterShare, 9);
    expect(lighter.enterShare).toBeGreaterThan(lighter.leaveShare);
  });
});
