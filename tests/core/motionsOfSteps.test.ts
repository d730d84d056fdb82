import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { planRoute } from '../../src/core/course/plan';
import type { Route } from '../../src/core/course/route';
import { prepare } from '../../src/core/forecast/prepare';
import { simulateRun } from '../../src/core/forecast/run';
import { wrap } from '../../src/core/geometry/angle';
import type { Pose } from '../../src/core/geometry/pose';
import type { Robot } from '../../src/core/robot/robot';
import { act, type StandInAction } from '../../src/core/standIn/act';
import { routeView } from '../../src/core/standIn/routeView';
import { newStandIn, standInTime, type StandIn } from '../../src/core/standIn/state';
import { standInTruth } from '../../src/core/standIn/truth';
import { tableSchema, type Table } from '../../src/core/table/table';
import { aboutWheel, asLate, lagging, MOTIONS, perLook, perLoop, robot } from './motionsDrawn';
import { bareTable, deg, routeOf, withDevice } from './support';

const across = (xM: number) => ({ x1M: xM, y1M: 0, x2M: xM, y2M: 3, widthM: 0.03 });
const table = tableSchema.parse({ ...bareTable, lines: [across(1.6)] });
const START = { xM: 1, yM: 1.2, headingRad: 0.1 };

/** The same on a stand-in whose truth is what is believed of it: where it stands after it. */
function onStandIn(route: Route, by: Robot, table: Table): Pose {
  const truth = { ...standInTruth(by, 1), robot: by, stillDriftSdRadPerS: 0 };
  const did = (state: StandIn, action: StandInAction) => act(state, truth, action, 0);
  const state = [
    { do: 'set-clock' as const, rate: 0 as const },
    { do: 'power-on' as const, inHand: false },
    { do: 'turn-by-hand' as const, angleRad: 1.5 },
    { do: 'advance' as const, durationS: 3 },
    { do: 'drive-route' as const, robot: by, table, route },
    { do: 'advance' as const, durationS: 300 },
  ].reduce(did, newStandIn('r', by, 1, 0));
  return routeView(truth, state, standInTime(state, 0))?.pose ?? route.start;
}

function drive(steps: object[], by: Robot, on = table, start = START) {
  const route = routeOf(
    steps.map((step, i) => ({ id: `s${i}`, ...step })),
    start,
  );
  const plan = planRoute(route, by, on);
  const to = plan.at(-1)?.to ?? start;
  const simulation = { robot: by, table: on, route, seed: 5 };
  const exact = { ...route, placement: { alongSdM: 0, acrossSdM: 0, headingSdRad: 0 } };
  const { end } = simulateRun(
    { ...simulation, route: exact },
    prepare({ ...simulation, route: exact }),
    0,
  );
  const ends = [end, onStandIn(exact, by, on)];
  return {
    plan,
    to,
    end,
    offM: Math.max(...ends.map(({ xM, yM }) => Math.hypot(xM - to.xM, yM - to.yM))),
    offRad: Math.max(...ends.map(({ headingRad }) => Math.abs(wrap(headingRad - to.headingRad)))),
    problems: plan.flatMap((one) => one.problems),
  };
}

describe.each(Object.entries(MOTIONS))('a robot without errors: %s', (_, motion) => {
  it('ends where the plan has it, with its lag as without', () => {
    fc.assert(
      fc.property(motion, (step) => {
        const ideal = drive([asLate(step, robot)], robot);
        expect(ideal.end.failure).toBeNull();
        expect(ideal.problems).toEqual([]);
        expect(ideal.offM).toBeLessThan(0.001 + perLook(step) + aboutWheel(step, robot));
        expect(ideal.offRad).toBeLessThan(deg(0.1) + perLoop(step, robot));
        const late = drive([asLate(step, lagging)], lagging);
        expect(late.offM).toBeLessThan(
          0.003 * (step.times ?? 1) + perLook(step) + aboutWheel(step, lagging),
        );
        expect(late.offRad).toBeLessThan(deg(0.5) + perLoop(step, robot));
      }),
      { numRuns: 40 },
    );
  });
});

describe('following', () => {
  const road = { x1M: 0, y1M: 1, x2M: 4, y2M: 1, widthM: 0.03 };
  const marked = tableSchema.parse({ ...bareTable, lines: [road, across(2.2), across(2.6)] });
  /** So far to the left of the line’s middle stands a robot whose left sensor is over its left edge. */
  const overEdge = { xM: 1, yM: 1 + 0.015 - 0.04, headingRad: 0 };

  it.each([
    ['the left edge', { side: 'left', sensor: 'left' }, overEdge],
    ['the right edge', { side: 'right', sensor: 'left' }, { ...overEdge, yM: 1 - 0.015 - 0.04 }],
    ['astride', { sensor: 'left', astride: 'right' }, { ...overEdge, yM: 1.004 }],
  ])(
    'a line, %s: it stays on it, from a little beside and askew, and ends after its length',
    (_, how, start) => {
      const step = { kind: 'follow-line', lengthM: 0.8, gainRadPerS: 8, speedMPerS: 0.1, ...how };
      for (const by of [robot, lagging]) {
        const askew = { ...start, yM: start.yM + 0.004, headingRad: deg(4) };
        const { end, to, offM, offRad, problems } = drive([step], by, marked, askew);
        expect(problems).toEqual([]);
        expect(end.failure).toBeNull();
        expect(Math.abs(to.xM - 1.8)).toBeLessThan(0.01);
        expect(Math.abs(to.yM - start.yM)).toBeLessThan('astride' in how ? 0.02 : 0.006);
        expect(Math.abs(to.headingRad)).toBeLessThan(deg(2));
        expect(offM).toBeLessThan(0.003);
        expect(offRad).toBeLessThan(deg(0.5));
      }
    },
  );

  it('a line to the second crossing that another sensor sees', () => {
    const how = { side: 'left', sensor: 'left', crossings: 2, crossingSensor: 'outer' };
    const step = { kind: 'follow-line', lengthM: 3, gainRadPerS: 8, ...how };
    const { to, end } = drive([step], robot, marked, overEdge);
    // A little before its edge, as its spot is wide, with what a change of heading makes of it.
    expect(Math.abs(to.xM + 0.075 - 2.585)).toBeLessThan(0.01);
    expect(end.failure).toBeNull();
    const { problems } = drive([{ ...step, crossingSensor: 'none' }], robot, marked, overEdge);
    expect(problems).toEqual(['no-such-sensor']);
  });

  it('a line that is not there ends by its time, and not on the line', () => {
    const step = { kind: 'follow-line', sensor: 'left', timeoutS: 2, lengthM: 3 };
    const { end } = drive([step], robot, bareTable, overEdge);
    expect(end.failure).toBe('time');
    expect(end.timeS).toBeLessThan(2.5);
    const on = { kind: 'set-heading', headingRad: 0 };
    const went = drive([{ ...step, onTimeout: 'go-on' }, on], robot, bareTable, overEdge);
    expect(went.end).toMatchObject({ failure: null, failedStep: null });
  });

  const walled = tableSchema.parse({
    ...bareTable,
    walls: [{ x1M: 0.5, y1M: 1.2, x2M: 2, y2M: 1.2 }],
  });
  it.each(['left', 'right'] as const)('a wall on the %s, to its end', (side) => {
    const sign = side === 'left' ? 1 : -1;
    const start = { xM: side === 'left' ? 1 : 1.5, yM: 1.2 - sign * 0.19, headingRad: 0 };
    const step = { kind: 'follow-wall', side, keepM: 0.12, lengthM: 2, toEnd: true };
    const { to, end, problems } = drive([step], robot, walled, start);
    expect(problems).toEqual([]);
    expect(end.failure).toBeNull();
    // Past the end of the wall, at the kept distance from it.
    expect(to.xM).toBeGreaterThan(2);
    expect(to.xM).toBeLessThan(2.08);
    expect(Math.abs(1.2 - to.yM)).toBeCloseTo(0.05 + 0.12, 1);
    const [planned] = drive([{ ...step, toEnd: false, lengthM: 0.5 }], robot, walled, start).plan;
    expect(planned?.distanceM).toBeCloseTo(0.5, 2);
  });
});

it('what Corvat does not know is carried to where the team says that it ends, scattered as they say', () => {
  const free = {
    kind: 'free',
    words: 'hooks the crate',
    alongM: 0.1,
    acrossM: 0.05,
    headingRad: 0.5,
  };
  const sure = { alongSdM: 0, acrossSdM: 0, headingSdRad: 0 };
  const after = { kind: 'straight', distanceM: 0.2 };
  const exact = drive([{ ...free, ...sure }, after], robot);
  expect(exact.offM).toBeLessThan(0.001);
  expect(exact.offRad).toBeLessThan(deg(0.1));
  const guessed = drive([free], robot);
  expect(guessed.offM).toBeGreaterThan(0.0005);
});

it('a mission that pushes the robot back and turns it is planned so, and made so', () => {
  const mark = { kind: 'mark', missionId: 'm', dwellS: 0.5, pushM: -0.004, turnRad: deg(3) };
  const { to, offM, offRad } = drive([mark, { kind: 'straight', distanceM: 0.5 }], robot);
  const faces = START.headingRad + deg(3);
  const x = START.xM - 0.004 * Math.cos(START.headingRad) + 0.5 * Math.cos(faces);
  expect(to.xM).toBeCloseTo(x, 6);
  expect(offM).toBeLessThan(0.001);
  expect(offRad).toBeLessThan(deg(0.1));
});

it('a slow last piece of an approach takes its time, and stops nearer to its threshold', () => {
  const eye = { kind: 'distance sensor', place: { aheadM: 0.12 }, behaviour: { noiseM: 0 } };
  const looking = withDevice(lagging, eye);
  const step = { kind: 'approach', thresholdM: 0.2, speedMPerS: 0.3 };
  const [once, twice] = [step, { ...step, slowMPerS: 0.05 }].map((one) => {
    const { end, plan } = drive([one], looking, bareTable);
    return { end, durationS: plan[0]?.durationS ?? 0 };
  });
  // Its motors are 50 ms late, and its sensor some 15: a sixth of the speed goes on by a sixth of that.
  expect((once?.end.xM ?? 0) - (twice?.end.xM ?? 0)).toBeGreaterThan(0.8 * 0.25 * 0.065);
  expect(Math.abs((twice?.end.timeS ?? 0) - (twice?.durationS ?? 0))).toBeLessThan(0.6);
  expect(drive([{ ...step, sensor: 'none' }], looking).problems).toEqual(['no-such-sensor']);
});

it('a set heading is what later turns count from', () => {
  // Placed 10° off, a program that says so turns to 90° on the table all the same.
  const off = { xM: 1, yM: 1, headingRad: deg(10) };
  const steps = [{ kind: 'turn', mode: 'to', angleRad: deg(90), leadRad: 0 }];
  const route = routeOf(
    [
      { id: 'h', kind: 'set-heading', headingRad: deg(10) },
      { id: 't', ...steps[0] },
    ],
    { ...off, headingRad: 0 },
  );
  const plan = planRoute(route, robot, bareTable);
  expect(plan[0]?.problems).toEqual(['heading-not-here']);
  const simulation = { robot, table: bareTable, route, seed: 1 };
  const { end } = simulateRun(simulation, prepare(simulation), 0);
  // It looked to 0 and took that for 10: it turns by 80 only.
  expect(Math.abs(wrap(end.headingRad - deg(80)))).toBeLessThan(deg(2.5));
});

it.each([
  { kind: 'straight', distanceM: 1 },
  { kind: 'turn', mode: 'by', angleRad: 3 },
  { kind: 'arc', radiusM: 0.3 },
  { kind: 'approach', thresholdM: 0.1, sensor: 'D-left' },
  { kind: 'touch', sensor: 'stall' },
  { kind: 'square-up', back: false },
  { kind: 'to-line' },
  { kind: 'square-on-line', left: 'left', right: 'right' },
  { kind: 'follow-line', sensor: 'left' },
  { kind: 'follow-wall', side: 'left' },
])('its time-out stops it: $kind', (step) => {
  const timeoutS = 0.3;
  const { end } = drive([{ ...step, timeoutS }], robot);
  expect(end.failure).toBe('time');
  expect(end.timeS).toBeLessThan(timeoutS + 0.5);
  expect(drive([{ ...step, timeoutS, onTimeout: 'go-on' }], robot).end.failure).toBeNull();
});
