import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plannedBranches } from '../../src/core/course/branches';
import { planRoute } from '../../src/core/course/plan';
import { routeSchema, type Route } from '../../src/core/course/route';
import { routeNeeds } from '../../src/core/course/wiring';
import { prepare } from '../../src/core/forecast/prepare';
import { rareLists } from '../../src/core/forecast/rareLists';
import { routeCheck } from '../../src/core/forecast/routeCheck';
import { simulateRun } from '../../src/core/forecast/run';
import { simulateAll } from '../../src/core/forecast/simulateAll';
import { forecast } from '../../src/core/forecast/summary';
import { wrap } from '../../src/core/geometry/angle';
import type { Robot } from '../../src/core/robot/robot';
import type { Step } from '../../src/core/steps/descriptions';
import { tableSchema } from '../../src/core/table/table';
import { bareTable, deg, idealRobot, withDevice, withoutDevices } from './support';

const eye = {
  kind: 'distance sensor',
  label: 'D',
  place: { aheadM: 0.1 },
  behaviour: { noiseM: 0, lostEchoShare: 0 },
};
const robot = withDevice(withoutDevices(idealRobot, 'distance sensor'), eye);
const wallAt = (xM: number) => ({ x1M: xM, y1M: 0, x2M: xM, y2M: 3 });
const table = tableSchema.parse({ ...bareTable, walls: [wallAt(2.5)] });

const near = (value: number, more: object = {}) => ({
  reading: { unit: 'D', channel: 'distance' },
  is: 'below',
  value,
  ...more,
});
const drive = (distanceM: number) => ({ kind: 'straight', distanceM });
const turn = (angleRad: number) => ({ kind: 'turn', mode: 'by', angleRad, leadRad: 0 });
const decide = (value: number, then: object[], otherwise: object[], usual = 'then') => ({
  kind: 'decide',
  if: near(value),
  then,
  else: otherwise,
  usual,
});
/** A route that names no ids: each step is given one. */
const given = (steps: object[]): Route => {
  const { format: _, ...asGiven } = { format: '', start: { xM: 1, yM: 1, headingRad: 0 }, steps };
  const route = routeSchema.parse(asGiven);
  return { ...route, placement: { alongSdM: 0, acrossSdM: 0, headingSdRad: 0 } };
};
const run = (route: Route, by: Robot = robot, on = table) => {
  const simulation = { robot: by, table: on, route, seed: 3 };
  return simulateRun(simulation, prepare(simulation), 0).end;
};
const checked = (route: Route) => {
  const plan = planRoute(route, robot, table);
  return routeCheck(plan, plannedBranches(route, robot, table, plan), robot, table);
};

describe('a decision', () => {
  it('is made by what is read where the robot stands, whatever is usual', () => {
    const [ahead, back] = [[drive(0.2)], [drive(-0.3)]];
    // It reads 1.4 m.
    expect(run(given([decide(1.5, ahead, back)])).xM).toBeCloseTo(1.2, 3);
    expect(run(given([decide(1.3, ahead, back)])).xM).toBeCloseTo(0.7, 3);
    expect(run(given([decide(1.3, ahead, []), drive(0.1)])).xM).toBeCloseTo(1.1, 3);
  });

  it('is planned by its usual list; that the robot would find it otherwise is said, and mended in a press', () => {
    const route = given([decide(1.3, [drive(0.2)], [drive(-0.3)]), drive(0.1)]);
    const plan = planRoute(route, robot, table);
    expect(plan.at(-1)?.to.xM).toBeCloseTo(1.3, 9);
    const [finding] = checked(route);
    expect(finding).toMatchObject({ number: '1', path: [0], problem: 'answers-otherwise' });
    const mended = { ...route, steps: [finding?.mend?.step as Step, ...route.steps.slice(1)] };
    expect(checked(mended)).toEqual([]);
    expect(planRoute(mended, robot, table).at(-1)?.to.xM).toBeCloseTo(0.8, 9);
    expect(run(route)).toEqual(run(mended));
  });

  it('has each list planned from where it is come to, and checked, also what stands within it', () => {
    const offTable = decide(0.2, [turn(deg(90))], [drive(-2)]);
    const route = given([drive(0.5), decide(1.2, [drive(0.1)], [turn(deg(90)), offTable])]);
    const plan = planRoute(route, robot, table);
    const branches = plannedBranches(route, robot, table, plan);
    expect(branches.map(({ path }) => path)).toEqual([
      [1, 'else'],
      [1, 'else', 1, 'else'],
    ]);
    const [first] = branches;
    expect(first?.steps[0]?.from.xM).toBeCloseTo(1.5, 9);
    expect(first?.steps.map(({ number }) => number)).toEqual(['2b.1', '2b.2', '2b.2a.1']);
    expect(checked(route)).toMatchObject([
      { path: [1, 'else', 1], problem: 'answers-otherwise' },
      { path: [1, 'else', 1, 'else', 0], problem: 'off-table' },
    ]);
  });

  it('asks a sensor for as long as it is told, and fails by one that is not there', () => {
    const looks = (more: object) => {
      const step = { ...decide(2, [], []), if: near(2, more) };
      return planRoute(given([step]), robot, table)[0]?.durationS ?? 0;
    };
    expect(looks({ confirmations: 6 }) - looks({})).toBeCloseTo(5 * robot.loopPeriodS, 9);
    const waits = { ...decide(1.3, [drive(0.1)], []), if: near(1.3, { timeoutS: 2 }) };
    expect(run(given([waits])).timeS).toBeGreaterThan(2);
    const blind = withoutDevices(robot, 'distance sensor');
    const route = given([drive(0.1), decide(1.5, [], [])]);
    expect(run(route, blind)).toMatchObject({ failure: 'no-sensor', failedStep: 1 });
    expect(routeNeeds([route], robot).find(({ kind }) => kind === 'distance sensor')?.steps).toBe(
      1,
    );
    const [problem] = planRoute(route, blind, table)[1]?.problems ?? [];
    expect(problem).toBe('no-such-sensor');
  });
});

it('what is there in three runs of ten is decided on in three of ten, and planned as it is as a rule', () => {
  const gate = { ...wallAt(1.9), share: 0.3 };
  const on = tableSchema.parse({ ...bareTable, walls: [wallAt(3.5), gate] });
  const route = given([decide(1, [drive(-0.2)], [drive(0.3)], 'else')]);
  // As a rule the gate is open: nothing is found otherwise, and the way leads through it.
  const [asked, last] = planRoute(route, robot, on);
  expect([asked?.found, last?.to.xM]).toEqual(['else', expect.closeTo(1.3, 9)]);
  const simulation = { robot, table: on, route, seed: 9 };
  const all = simulateAll(simulation, 400);
  if ('sentence' in all) throw new Error(all.sentence);
  const [decision] = forecast(simulation, all.runs).decisions;
  expect(decision).toMatchObject({ number: '1', asked: 400, lists: [{ words: 'if so' }, {}] });
  const closed = decision?.lists[0]?.taken ?? 0;
  // Three standard deviations of a share of 0.3 in 400.
  expect(Math.abs(closed / 400 - 0.3)).toBeLessThan(3 * Math.sqrt((0.3 * 0.7) / 400));
  // Led there, all of the runs take the rare list and end as those that came to it.
  const rare = rareLists(
    { ...simulation, table: { ...on, walls: [wallAt(3.5)] } },
    all.runs.slice(0, 40),
  );
  expect(rare.map(({ number, runs, stopped }) => [number, runs, stopped])).toEqual([
    ['1a', 50, 0],
    ['1b', 50, 0],
  ]);
  const led = { ...simulation, ledBy: [{ number: '1', answer: 'then' }] };
  expect(simulateRun(led, prepare(led), 3).end.xM).toBeCloseTo(0.8, 2);
  const backed = all.runs.filter(({ end }) => Math.abs(end.xM - 0.8) < 0.01);
  expect(backed).toHaveLength(closed);
});

describe('a repetition until something holds', () => {
  it('looks after each time, and gives up after so many', () => {
    const until = (value: number, more: object = {}) =>
      given([{ kind: 'repeat', until: near(value), steps: [drive(0.1)], ...more }]);
    // 1.4 m, then 1.3 m, …: at 1 m or less after four.
    expect(run(until(1.005)).xM).toBeCloseTo(1.4, 3);
    expect(planRoute(until(1.005), robot, table).at(-1)?.to.xM).toBeCloseTo(1.4, 9);
    const tired = until(0.2, { most: 3 });
    const end = run(tired);
    expect(end).toMatchObject({ failure: 'time', failedStep: 0, failedNumber: '1' });
    expect(end.xM).toBeCloseTo(1.3, 3);
    expect(checked(tired)).toMatchObject([{ number: '1', problem: 'never-ends' }]);
  });

  it('counts a failure by the step at which runs stop, wherever it stands', () => {
    const route = given([decide(1.3, [], [drive(0.2), drive(2)])]);
    const simulation = { robot, table, route, seed: 1 };
    const all = simulateAll(simulation, 8);
    if ('sentence' in all) throw new Error(all.sentence);
    expect(all.runs[0]?.end.failedPath).toEqual([0, 'else', 1]);
    expect(forecast(simulation, all.runs).failures).toMatchObject([{ step: '1b.2', runs: 8 }]);
  });
});

it('whatever is nested in whatever: a robot without errors ends where its answers lead', () => {
  const motion = fc.oneof(
    fc.integer({ min: -8, max: 8 }).map((cm) => drive(cm === 0 ? 0.05 : cm / 100)),
    fc.integer({ min: 1, max: 60 }).map((n) => ({ kind: 'arc', radiusM: 0.2, angleRad: deg(n) })),
  );
  const { steps } = fc.letrec<{ steps: object[]; step: object }>((tie) => ({
    steps: fc.array(tie('step'), { minLength: 1, maxLength: 3, depthIdentifier: 'route' }),
    step: fc.oneof(
      { maxDepth: 2, depthIdentifier: 'route' },
      motion,
      fc
        .record({
          value: fc.integer({ min: 3, max: 20 }),
          then: tie('steps'),
          otherwise: tie('steps'),
          usual: fc.constantFrom('then', 'else'),
        })
        .map((of) => decide(of.value / 10, of.then, of.otherwise, of.usual)),
      fc
        .record({ value: fc.integer({ min: 3, max: 20 }), steps: tie('steps') })
        .map((of) => ({ kind: 'repeat', until: near(of.value / 10), most: 2, steps: of.steps })),
    ),
  }));
  fc.assert(
    fc.property(steps, (tree) => {
      const route = given(tree);
      expect(routeSchema.parse(JSON.parse(JSON.stringify(route)))).toEqual(
        routeSchema.parse(route),
      );
      const simulation = { robot, table, route, seed: 2 };
      const prepared = prepare(simulation);
      const { end } = simulateRun(simulation, prepared, 0);
      if (end.failure !== null) return;
      const isAtEndOf = (answers: readonly string[]) => {
        const { plan } = prepared.wayOf(answers);
        const to = plan.at(-1)?.to ?? route.start;
        // An arc ends on a tick of the loop.
        const parts = 1 + plan.length;
        return (
          Math.hypot(end.xM - to.xM, end.yM - to.yM) < 0.001 * parts &&
          Math.abs(wrap(end.headingRad - to.headingRad)) < deg(0.1) * parts
        );
      };
      /** What the exact robot finds, after some answers that are given. */
      const foundAfter = (given: readonly string[]): string[] => {
        const question = planRoute(route, robot, table, given).filter(({ choice }) => choice)[
          given.length
        ];
        return question === undefined ? [...given] : foundAfter([...given, question.found ?? '']);
      };
      const found = foundAfter([]);
      const other = { then: 'else', else: 'then', again: 'done', done: 'again' };
      // A reading at its very threshold may go either way.
      const nearly = found.map((answer, i) =>
        foundAfter([...found.slice(0, i), other[answer as keyof typeof other]]),
      );
      expect([found, ...nearly].some(isAtEndOf)).toBe(true);
    }),
    { numRuns: 60 },
  );
});
