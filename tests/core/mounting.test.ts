import { describe, expect, it } from 'vitest';
import { mountedThen } from '../../src/core/calibration/mountedThen';
import type { CalibrationValue } from '../../src/core/calibration/calibration';
import { buildingSheet } from '../../src/core/building/sheet';
import { compareRoutes } from '../../src/core/course/compare';
import { describeStart } from '../../src/core/course/describe';
import { planRoute } from '../../src/core/course/plan';
import type { Route } from '../../src/core/course/route';
import { prepare } from '../../src/core/forecast/prepare';
import { routeCheck } from '../../src/core/forecast/routeCheck';
import { simulateRun } from '../../src/core/forecast/run';
import { asMounted } from '../../src/core/robot/mounting';
import { robotSchema } from '../../src/core/robot/robot';
import { tableSchema, type Table } from '../../src/core/table/table';
import { bareTable, idealRobot, routeOf, withDevice } from './support';

const { body } = idealRobot;
const FORK_M = 0.09;
const robot = robotSchema.parse({
  ...withDevice(idealRobot, { kind: 'attachment motor', label: 'arm' }),
  mountings: [
    { name: 'fork', ...body, frontM: body.frontM + FORK_M, underM: 0.06, armStartRad: 1.5 },
  ],
});
const START = { xM: 1, yM: 1, headingRad: 0 };
const routeWith = (steps: object[], mounted: string | null): Route => ({
  ...routeOf(
    steps.map((step, i) => ({ id: `s${i}`, ...step })),
    START,
  ),
  placement: { alongSdM: 0, acrossSdM: 0, headingSdRad: 0 },
  mounted,
});
const run = (route: Route, table: Table) => {
  const simulation = { robot, table, route, seed: 3 };
  return simulateRun(simulation, prepare(simulation), 0).end;
};
const check = (route: Route, table: Table) =>
  routeCheck(planRoute(route, robot, table), [], asMounted(robot, route), table).map(
    ({ problem }) => problem,
  );
/** A box ahead of the start: the bare robot stops before it, with the fork it would poke into it. */
const boxed = (heightM: number) =>
  tableSchema.parse({
    ...bareTable,
    obstacles: [
      { x1M: 1.3 + body.frontM + 0.03, y1M: 0.9, x2M: 1.5 + body.frontM, y2M: 1.1, heightM },
    ],
  });
const drive = { kind: 'straight', distanceM: 0.3, speedMPerS: 0.2 };

describe('what is mounted', () => {
  it.each([
    ['a box as high as its lower edge stops it, and is said before', 0.08, 'fork', 'outline-meets'],
    ['a low one passes beneath it', 0.04, 'fork', null],
    ['without it there is room', 0.08, null, null],
  ])('%s', (_, heightM, mounted, said) => {
    const route = routeWith([drive], mounted);
    const table = boxed(heightM);
    expect(check(route, table)).toEqual(said === null ? [] : [said]);
    const { failure, xM } = run(route, table);
    expect(failure).toBe(said === null ? null : 'wall');
    // Its front is at the box then, and no nearer.
    if (said === null) expect(xM).toBeCloseTo(1.3, 2);
    else expect(xM + body.frontM + FORK_M).toBeCloseTo(1.3 + body.frontM + 0.03, 1);
  });

  it('squares up with its own front, in the plan as in the simulation', () => {
    const step = { kind: 'square-up', back: false, speedMPerS: 0.15 };
    const [bare, forked] = [null, 'fork'].map((mounted) => {
      const route = routeWith([step], mounted);
      const { to } = planRoute(route, robot, bareTable).at(-1) ?? { to: START };
      expect(Math.abs(run(route, bareTable).xM - to.xM)).toBeLessThan(0.001);
      return to.xM;
    });
    expect((bare ?? 0) - (forked ?? 0)).toBeCloseTo(FORK_M, 6);
  });

  it('has to fit the home area with all of it', () => {
    const home = { x1M: 0.8, y1M: 0.8, x2M: 1 + body.frontM + 0.02, y2M: 1.2 };
    const table = tableSchema.parse({ ...bareTable, homeAreas: [home] });
    expect(check(routeWith([drive], null), table)).not.toContain('outside-home');
    expect(check(routeWith([drive], 'fork'), table)).toContain('outside-home');
  });

  it('begins with its motor where the record has it: what stands there already takes no time', () => {
    const arm = { kind: 'attachment', unit: 'arm', angleRad: 1.5, share: 0.2, wait: true };
    const [bare, forked] = [null, 'fork'].map(
      (mounted) => run(routeWith([arm], mounted), bareTable).timeS,
    );
    expect(forked ?? 9).toBeLessThan((bare ?? 0) - 0.4);
  });

  it('is told wherever the robot is placed, and as a difference; an unknown one is said', () => {
    const [before, after] = [routeWith([drive], null), routeWith([drive], 'fork')];
    expect(describeStart(after)).toMatch(/, with “fork” mounted$/);
    expect(compareRoutes(before, after, [])).toEqual([
      { kind: 'changed', stepNumber: null, before: 'Nothing mounted', after: '“fork” mounted' },
    ]);
    expect(buildingSheet(after, robot, bareTable).notes.join(' ')).toMatch(/Mount “fork”.*86°/);
    expect(check(routeWith([drive], 'spoon'), bareTable)).toContain('unknown-mounting');
  });

  it('is beside what was measured with something else on: what drives, and what nobody noted is not', () => {
    const values = [
      { kind: 'speed', mounted: null },
      { kind: 'squaring', mounted: 'fork' },
      { kind: 'light-threshold', mounted: null },
      { kind: 'straight' },
    ] as CalibrationValue[];
    expect(mountedThen(values, { mounted: 'fork' })).toMatch(
      /^Measured with .*: [^,]+ \(nothing\)\. /,
    );
    expect(mountedThen(values, { mounted: null })).toMatch(/\(“fork”\)\. This route .* nothing/);
    expect(mountedThen(values.slice(2), { mounted: 'fork' })).toBeNull();
  });
});
