import fc from 'fast-check';
import { expect, it } from 'vitest';
import { compareRoutes } from '../../src/core/course/compare';
import { plannedEnd, planRoute } from '../../src/core/course/plan';
import { routeSchema } from '../../src/core/course/route';
import { prepare } from '../../src/core/forecast/prepare';
import { simulateRun } from '../../src/core/forecast/run';
import { simulateAll } from '../../src/core/forecast/simulateAll';
import { forecastSentence } from '../../src/core/forecast/sentence';
import { forecast } from '../../src/core/forecast/summary';
import { motionsMade } from '../../src/core/steps/inOrder';
import { describeIssue } from '../../src/formats/issues';
import { bareTable, deg, idealRobot, routeOf, stepTrees } from './support';

const drive = (id: string, distanceM: number) => ({ id, kind: 'straight', distanceM });
const quarter = (id: string) => ({ id, kind: 'turn', mode: 'by', angleRad: deg(90) });
const repeat = (id: string, times: number, steps: object[]) => ({
  id,
  kind: 'repeat',
  times,
  steps,
});
const side = [drive('side', 0.5), quarter('corner')];

const simulationOf = (steps: object[], walls: (typeof bareTable)['walls'] = []) => ({
  robot: idealRobot,
  table: { ...bareTable, walls },
  route: routeOf(steps),
  seed: 3,
});

it('four sides told once are planned and driven as four that are told one after the other', () => {
  const told = simulationOf([drive('in', 0.1), repeat('sq', 4, side)]);
  const listed = simulationOf([
    drive('in', 0.1),
    ...[1, 2, 3, 4].flatMap((n) => [drive(`side${n}`, 0.5), quarter(`corner${n}`)]),
  ]);
  const [plan, longPlan] = [told, listed].map(({ route, robot, table }) =>
    planRoute(route, robot, table),
  );
  const poses = plan?.map(({ to, durationS }) => ({ to, durationS }));
  expect(poses).toEqual(longPlan?.map(({ to, durationS }) => ({ to, durationS })));
  expect(plannedEnd(told.route, plan ?? []).xM).toBeCloseTo(1.1, 9);
  expect(simulateRun(told, prepare(told), 0)).toEqual(simulateRun(listed, prepare(listed), 0));
});

it('how often is told where versions differ', () => {
  const [before, after] = [4, 5].map((times) => routeOf([repeat('sq', times, side)]));
  if (before === undefined || after === undefined) throw new Error('no routes');
  expect(compareRoutes(before, after, [])).toEqual([
    { kind: 'changed', stepNumber: '1', before: 'Repeat 4 times', after: 'Repeat 5 times' },
  ]);
});

it('runs that stop in it are told by the step at which they stop, whichever time it was', () => {
  // The third side ends in a wall over the first.
  const wall = { x1M: 1.2, y1M: 1.2, x2M: 1.2, y2M: 2 };
  const simulation = simulationOf(
    [repeat('sq', 4, [drive('side', 0.8), quarter('corner')])],
    [wall],
  );
  const all = simulateAll(simulation, 8);
  if ('sentence' in all) throw new Error(all.sentence);
  const found = forecast(simulation, all.runs);
  expect(found.failures).toMatchObject([{ step: '1.1', runs: 8, atWall: 8 }]);
  expect(forecastSentence(found)).toContain('8 runs stopped on the way: at step 1.1, into wall 1');
});

/** How many drives a tree makes, counted by hand. */
const driven = (steps: readonly object[]): number =>
  steps.reduce((sum: number, step) => {
    const { times, steps: inner } = step as { times?: number; steps?: object[] };
    return sum + (inner === undefined ? 1 : (times ?? 1) * driven(inner));
  }, 0);

it('each motion is made as often as all that it stands in says together', () => {
  const often = fc.record({
    kind: fc.constant('repeat'),
    times: fc.integer({ min: 1, max: 3 }),
  });
  fc.assert(
    fc.property(stepTrees(often, fc.constant({ kind: 'part', name: 'bend' })), (steps) => {
      const route = routeOf(steps);
      expect(planRoute(route, idealRobot, bareTable)).toHaveLength(driven(steps));
      expect(motionsMade(route.steps)).toBe(driven(steps));
    }),
  );
});

it('half a time, and more motions than a run holds, are refused', () => {
  const refused = (steps: object[]) => {
    const { error } = routeSchema.safeParse({ start: { xM: 0, yM: 0, headingRad: 0 }, steps });
    return error?.issues[0] && describeIssue(error.issues[0]);
  };
  const often = (times: number) => [repeat('a', 50, [repeat('b', times, [drive('d', 0.01)])])];
  expect(refused(often(10))).toBeUndefined();
  expect(refused(often(11))).toMatch(/at most 500 motions, each counted as often as it is made/);
  expect(refused([repeat('a', 2.5, [])])).toMatch(/times: expected a whole number/);
});
