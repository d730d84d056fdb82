import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { missionAtEnd, routeMissions } from '../../src/core/course/routeMissions';
import { newStep } from '../../src/core/steps/newStep';
import { profileDurationS } from '../../src/core/control/straight/profile';
import { plannedEnd, planRoute } from '../../src/core/course/plan';
import { PROBLEM_SENTENCES } from '../../src/core/steps/problems';
import type { TurnsCalibration } from '../../src/core/calibrationValues/turns';
import { compareRoutes } from '../../src/core/course/compare';
import { routeSchema, type Route } from '../../src/core/course/route';
import { missionSchema, tableSchema } from '../../src/core/table/table';
import type { Robot } from '../../src/core/robot/robot';
import { ROUTE_VERSIONS, pipit, winterGarden } from '../../src/server/demo/scenario';
import { bareTable, deg, idealRobot, routeOf, withDevice } from './support';

const planOf = (steps: unknown[], robot: Robot = idealRobot, table = bareTable) =>
  planRoute(routeOf(steps), robot, table);
const problemsOf = (steps: unknown[], robot?: Robot, table = bareTable) =>
  planOf(steps, robot, table).map(({ problems }) => problems);

const seeing: Robot = withDevice(idealRobot, { kind: 'distance sensor', place: { aheadM: 0.1 } });

describe('the plan of a route', () => {
  it('follows the steps: drive, turn, drive back', () => {
    const plan = planOf([
      { kind: 'straight', distanceM: 0.5 },
      { kind: 'turn', angleRad: deg(90) },
      { kind: 'straight', distanceM: -0.2 },
    ]);
    const end = plannedEnd(routeOf([]), plan);
    expect(end.xM).toBeCloseTo(1.5, 9);
    expect(end.yM).toBeCloseTo(0.8, 9);
    expect(end.headingRad).toBeCloseTo(deg(90), 9);
  });

  it('keeps headings unwrapped on the way, wrapped at the end: 450° of turning is not 90°', () => {
    const plan = planOf([{ kind: 'turn', mode: 'by', angleRad: deg(450) }]);
    expect(plan[0]?.angleRad).toBeCloseTo(deg(450), 9);
    expect(plan[0]?.to.headingRad).toBeCloseTo(deg(450), 9);
    expect(plannedEnd(routeOf([]), plan).headingRad).toBeCloseTo(deg(90), 9);
  });

  it('stops an approach where the recorded sensor would read the threshold', () => {
    const robot = withDevice(idealRobot, {
      kind: 'distance sensor',
      place: { aheadM: 0.1 },
      behaviour: { offsetM: 0.01, scale: 1.02 },
    });
    const [step] = planOf([{ kind: 'approach', thresholdM: 0.3 }], robot);
    // reading = 0.01 + 1.02 · gap, so the gap at the threshold is 0.29 / 1.02; the wall is at 4 m.
    // At 0.15 m/s it looks every 30 ms, and brakes with 3 m/s².
    const goesOnM = 0.15 * 0.015 + 0.15 ** 2 / (2 * 3);
    expect(step?.to.xM).toBeCloseTo(4 - 0.1 - 0.29 / 1.02 + goesOnM, 5);
  });

  it('takes the time of a trapezoid, of a triangle for short ways, and of nothing for none', () => {
    // 1 m at 0.5 m/s with 1 m/s²: half a second up, half down, 1.5 s between.
    expect(profileDurationS(1, 0.5, 1)).toBeCloseTo(2.5, 9);
    // 0.04 m never reaches 0.5 m/s: 2·√(0.04/1) = 0.4 s.
    expect(profileDurationS(0.04, 0.5, 1)).toBeCloseTo(0.4, 9);
    expect(profileDurationS(0, 0.5, 1)).toBe(0);
  });

  it('never gets quicker by going further', () => {
    const metres = fc.double({ min: 0, max: 5, noNaN: true });
    fc.assert(
      fc.property(metres, metres, (a, b) => {
        const [near, far] = [Math.min(a, b), Math.max(a, b)];
        expect(profileDurationS(far, 0.4, 0.9)).toBeGreaterThanOrEqual(
          profileDurationS(near, 0.4, 0.9) - 1e-12,
        );
      }),
    );
  });
});

describe('what is said before any run', () => {
  it.each<[string, unknown[], Robot, string]>([
    [
      'a half turn without a direction',
      [{ kind: 'turn', angleRad: deg(178) }],
      idealRobot,
      'half-turn',
    ],
    [
      'an approach without a sensor',
      [{ kind: 'approach', thresholdM: 0.2 }],
      idealRobot,
      'no-distance-sensor',
    ],
    [
      'an approach that is there already',
      [{ kind: 'approach', thresholdM: 4 }],
      seeing,
      'already-there',
    ],
    ['a drive off the table', [{ kind: 'straight', distanceM: 3.5 }], idealRobot, 'off-table'],
    ['a mission that is gone', [{ kind: 'mark', missionId: 'x' }], idealRobot, 'unknown-mission'],
  ])('%s', (_, steps, robot, problem) => {
    expect(problemsOf(steps, robot)[0]).toContain(problem);
    expect(PROBLEM_SENTENCES[problem as keyof typeof PROBLEM_SENTENCES]).toMatch(/\.$/);
  });

  it('says nothing about sound steps, nor about the demo’s routes', () => {
    expect(
      problemsOf([
        { kind: 'turn', angleRad: deg(178), direction: 'left' },
        { kind: 'straight', distanceM: 0.5 },
      ]),
    ).toEqual([[], []]);
    for (const { route } of ROUTE_VERSIONS) {
      const found = planRoute(route, pipit, winterGarden).flatMap(({ problems }) => problems);
      expect(found).toEqual([]);
    }
  });

  it('gives each new step values that can be run', () => {
    for (const kind of ['straight', 'turn', 'approach', 'square-up', 'mark'] as const) {
      const place = { headingRad: 0, missionId: 'sundial', turns: null, robot: pipit };
      expect(() => routeOf([newStep(kind, 'id', place)])).not.toThrow();
    }
  });

  it('lets a new turn stop as early as was measured, and not at all where nobody has', () => {
    const tried = { direction: 'both' as const, rateRadPerS: deg(90), kind: 'spin' as const };
    const found = { constantRad: deg(7), scaleError: 0, residualSdRad: 0.01, n: 8 };
    const turns: TurnsCalibration = {
      kind: 'turns',
      groups: [{ ...tried, ...found, rates: [deg(90)] }],
      lagS: null,
      brakingRadPerS2: null,
    };
    const turn = (known: TurnsCalibration | null, headingRad = 0) =>
      newStep('turn', 'id', { headingRad, missionId: '', turns: known, robot: pipit });
    expect(turn(turns)).toMatchObject({ leadRad: expect.closeTo(deg(7), 9) as number });
    expect(turn(turns, deg(180))).toMatchObject({ leadRad: expect.closeTo(deg(7), 9) as number });
    expect(turn(null)).toMatchObject({ leadRad: 0 });
  });
});

describe('the missions of a route', () => {
  const at = (id: string, xM: number) =>
    missionSchema.parse({ id, name: id, pose: { xM, yM: 1, headingRad: 0 } });
  const table = tableSchema.parse({
    widthM: 4,
    heightM: 3,
    missions: [at('a', 1), at('b', 2), at('c', 3)],
  });

  it('come in the order of the route, each once, gone ones left out', () => {
    const marks = ['c', 'a', 'c', 'gone'].map((missionId) => ({ kind: 'mark', missionId }));
    expect(routeMissions(routeOf(marks), table).map(({ id }) => id)).toEqual(['c', 'a']);
  });

  it('include one at the end only when it is near', () => {
    const missions = table.missions;
    expect(missionAtEnd(missions, { xM: 2.05, yM: 1, headingRad: 0 })?.id).toBe('b');
    expect(missionAtEnd(missions, { xM: 2.5, yM: 1, headingRad: 0 })).toBeNull();
    expect(missionAtEnd([], { xM: 0, yM: 0, headingRad: 0 })).toBeNull();
  });
});

describe('what differs between two versions', () => {
  const ids = ['a', 'b', 'c', 'd'];
  const drive = (id: string, distanceM = 0.1) => ({ id, kind: 'straight', distanceM });
  const kinds = (before: Route, after: Route) =>
    compareRoutes(before, after, []).map(
      ({ kind, stepNumber }) => `${kind} ${stepNumber ?? 'start'}`,
    );

  it('is told by what happened to each step', () => {
    const before = routeOf(ids.map((id) => drive(id)));
    expect(kinds(before, routeOf(ids.slice(1).map((id) => drive(id))))).toEqual(['removed 1']);
    expect(kinds(before, routeOf([...ids, 'e'].map((id) => drive(id))))).toEqual(['added 5']);
    const start = { xM: 1.1, yM: 1, headingRad: 0 };
    expect(kinds(before, routeSchema.parse({ ...before, start }))).toEqual(['changed start']);
  });

  it('is told even where a sentence rounds it away or does not mention it', () => {
    const approach = { id: 'p', kind: 'approach', thresholdM: 0.12, speedMPerS: 0.1 };
    const turn = { id: 't', kind: 'turn', mode: 'to', angleRad: deg(90), leadRad: deg(5.21) };
    const before = routeOf([approach, turn]);
    const texts = (steps: object[]) =>
      compareRoutes(before, routeOf(steps), []).map(({ after }) => after ?? '');
    expect(texts([{ ...approach, timeoutS: 4 }, turn])[0]).toMatch(/giving up after 4 s/);
    expect(texts([{ ...approach, gainMPerSPerRad: 2 }, turn])[0]).toMatch(/gain 2/);
    expect(texts([approach, { ...turn, leadRad: deg(5.24) }])[0]).toMatch(/lead 5\.24°$/);
    expect(texts([{ ...approach, thresholdM: 0.12004 }, turn])[0]).toMatch(/threshold 12\.004 cm/);
    const placed = { ...before, placement: { ...before.placement, alongSdM: 0.00401 } };
    expect(kinds(before, placed)).toEqual(['changed start']);
  });

  it('is nothing between a route and itself, and something otherwise', () => {
    const steps = fc.array(fc.tuple(fc.constantFrom(...ids), fc.integer({ min: 1, max: 50 })), {
      maxLength: 6,
    });
    const unique = (list: [string, number][]) =>
      list.filter(([id], index) => list.findIndex(([other]) => other === id) === index);
    const routeFrom = (list: [string, number][]) =>
      routeOf(unique(list).map(([id, cm]) => drive(id, cm / 100)));
    fc.assert(
      fc.property(steps, steps, (a, b) => {
        expect(kinds(routeFrom(a), routeFrom(a))).toEqual([]);
        const same = JSON.stringify(routeFrom(a)) === JSON.stringify(routeFrom(b));
        expect(kinds(routeFrom(a), routeFrom(b)).length === 0).toBe(same);
      }),
    );
  });
});
