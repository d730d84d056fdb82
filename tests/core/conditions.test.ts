import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  holds,
  watchFor,
  type Watched,
  type WatchedReading,
} from '../../src/core/control/condition';
import type { Readings } from '../../src/core/control/controller';
import { describeStep } from '../../src/core/course/describe';
import { compareRoutes } from '../../src/core/course/compare';
import { planRoute } from '../../src/core/course/plan';
import { prepare } from '../../src/core/forecast/prepare';
import { simulateRun } from '../../src/core/forecast/run';
import { conditionSchema } from '../../src/core/steps/condition/schema';
import { stepSchema } from '../../src/core/steps/step';
import { tableSchema } from '../../src/core/table/table';
import { bareTable, deg, idealRobot, routeOf, withDevice } from './support';

const at = (timeS: number, reading: number | null = null, headingRad = 0): Readings => ({
  timeS,
  headingRad,
  leftM: 0,
  rightM: 0,
  reading: () => reading,
});
const watched = (part: Partial<WatchedReading>): WatchedReading => ({
  source: { from: 'unit', of: { unitId: 'D', channel: 'distance' }, factor: 1 },
  is: 'below',
  value: 0.2,
  confirmations: 1,
  timeoutS: Infinity,
  ...part,
});
/** What it says of readings that come every 10 ms. */
const saysOf = (condition: Watched, readings: readonly (number | null)[]) => {
  const state = watchFor(condition);
  return readings.map((reading, i) => holds(state, at(i / 100, reading)));
};

describe('a condition', () => {
  it('needs so many readings in a row; a lost echo counts neither way', () => {
    const twice = watched({ confirmations: 2 });
    expect(saysOf(twice, [0.3, 0.1, 0.3, 0.1, null, 0.2])).toEqual([
      ...[false, false, false, false, false],
      true,
    ]);
  });

  it('of a change counts from its first reading; of standing still from the last move', () => {
    const changed = watched({ is: 'changed', value: 0.05 });
    expect(saysOf(changed, [0.3, 0.33, 0.26, 0.24])).toEqual([false, false, false, true]);
    const still = watched({ is: 'still', value: 0.01 });
    const moving = Array.from({ length: 20 }, (_, i) => i / 10);
    const standing = Array.from({ length: 30 }, () => 1.9);
    const said = saysOf(still, [...moving, ...standing]);
    expect(said.indexOf(true)).toBe(19 + 25);
  });

  it('of all and of any is what logic makes of its parts', () => {
    const tree = fc.letrec<{ node: Watched }>((tie) => ({
      node: fc.oneof(
        { maxDepth: 3 },
        fc.integer({ min: 0, max: 10 }).map((tenths) => watched({ value: tenths / 10 })),
        fc.record({
          every: fc.boolean(),
          of: fc.array(tie('node'), { minLength: 1, maxLength: 4 }),
        }),
      ),
    })).node;
    const truth = (one: Watched, reading: number): boolean =>
      'every' in one
        ? one.of.map((part) => truth(part, reading)).reduce((a, b) => (one.every ? a && b : a || b))
        : reading <= one.value;
    fc.assert(
      fc.property(tree, fc.integer({ min: 0, max: 10 }), (one, tenths) => {
        expect(saysOf(one, [tenths / 10])).toEqual([truth(one, tenths / 10)]);
      }),
    );
  });

  it('of a heading goes the short way round, and says when its sensor is missing or its time over', () => {
    const heading = watched({
      source: { from: 'heading', perRad: 1, atZeroRad: deg(170) },
      is: 'above',
      value: deg(-170),
    });
    const state = watchFor(heading);
    expect([0, 10, 19, 21].map((degrees) => holds(state, at(0, null, deg(degrees))))).toEqual([
      ...[false, false, false],
      true,
    ]);
    const missing = watched({ source: { from: 'unit', of: null, factor: 1 } });
    expect(saysOf(missing, [0.1])).toEqual(['no-sensor']);
    expect(saysOf({ every: false, of: [missing, watched({})] }, [0.1])).toEqual([true]);
    expect(saysOf(watched({ timeoutS: 0.015 }), [0.3, 0.3, 0.3])).toEqual([false, false, 'time']);
  });

  it('is refused where it says nothing, or what it does not know', () => {
    const single = { reading: 'heading', is: 'above', value: 1 };
    expect(conditionSchema.safeParse({ any: [single, { all: [single] }] }).success).toBe(true);
    for (const wrong of [
      { any: [] },
      { ...single, is: 'near' },
      { ...single, reading: 'mood' },
      { ...single, colour: 'red' },
      { all: [{ any: [{ all: [single] }] }] },
    ]) {
      expect(conditionSchema.safeParse(wrong).success, JSON.stringify(wrong)).toBe(false);
    }
  });
});

describe('a motion that a condition ends', () => {
  const line = { x1M: 1.5, y1M: 0, x2M: 1.5, y2M: 3, widthM: 0.03 };
  const table = tableSchema.parse({ ...bareTable, lines: [line] });
  const eye = { kind: 'light sensor', label: 'L1', behaviour: { noiseShare: 0 } };
  const robot = withDevice(withDevice(idealRobot, { ...eye, id: 'L1', place: { aheadM: 0.1 } }), {
    kind: 'left motor',
    label: 'M-left',
    id: 'ML',
  });
  const dark = { reading: { unit: 'L1', channel: 'light' }, is: 'below', value: 0.3 };
  const made = (step: object, start = { xM: 1, yM: 1, headingRad: 0 }) => {
    const route = routeOf([{ id: 'a', ...step }], start);
    const [planned] = planRoute(route, robot, table);
    const simulation = { robot, table, route, seed: 1 };
    const { end } = simulateRun(simulation, prepare(simulation), 0);
    if (planned === undefined) throw new Error('no step');
    return { planned, end, offM: Math.hypot(end.xM - planned.to.xM, end.yM - planned.to.yM) };
  };

  it('is planned to where that is, and ends there: a drive and a turn at the line', () => {
    const drive = made({ kind: 'straight', distanceM: 2, speedMPerS: 0.1, until: dark });
    expect(drive.planned.to.xM + 0.1).toBeCloseTo(1.485, 2);
    expect(drive.offM).toBeLessThan(0.001);
    const beside = { xM: 1.5, yM: 1, headingRad: -Math.PI };
    const turn = made({ kind: 'turn', mode: 'by', angleRad: Math.PI, until: dark }, beside);
    // Its eye comes to the line a quarter of a turn on, less what line and spot are wide.
    expect(turn.planned.angleRad).toBeGreaterThan(deg(60));
    expect(turn.planned.angleRad).toBeLessThan(deg(95));
    expect(turn.end.failure).toBeNull();
  });

  it('ends by itself where nothing is read in time', () => {
    const never = { ...dark, value: 0.01 };
    const { planned, end } = made({ kind: 'straight', distanceM: 0.3, until: never });
    expect(planned.to.xM).toBeCloseTo(1.3, 2);
    expect(end.failure).toBeNull();
    const missing = { ...dark, reading: { unit: 'L9', channel: 'light' } };
    const lost = made({ kind: 'straight', distanceM: 0.3, until: missing });
    expect(lost.planned.problems).toEqual(['no-such-sensor']);
    expect(lost.end.failure).toBe('no-sensor');
  });

  it('can look at time, at the heading on the table and at a motor’s angle', () => {
    const drive = { kind: 'straight', distanceM: 2, speedMPerS: 0.2 };
    const time = made({ ...drive, until: { reading: 'time', is: 'above', value: 1 } });
    expect(time.planned.durationS).toBeLessThan(1.4);
    const motor = { reading: { motor: 'M-left' }, is: 'above', value: 2 * Math.PI };
    // A turn of the wheel, and what it rolls on.
    expect(made({ ...drive, until: motor }).planned.distanceM).toBeCloseTo(0.056 * Math.PI, 1);
    const turn = { kind: 'turn', mode: 'by', angleRad: 3, rateRadPerS: 0.5 };
    const heading = { reading: 'heading', is: 'above', value: deg(120) };
    const turned = made({ ...turn, until: heading }, { xM: 1, yM: 1, headingRad: deg(60) });
    expect(turned.planned.to.headingRad).toBeCloseTo(deg(120), 1);
  });

  it('is said in a sentence, and a change of it is told', () => {
    const step = (until: object) =>
      stepSchema.parse({ id: 'a', kind: 'straight', distanceM: 0.3, until });
    const both = { any: [dark, { reading: 'time', is: 'above', value: 2, confirmations: 3 }] };
    expect(describeStep(step(both), [])).toMatch(
      /, or until the light of L1 reads 30 % or less or the step’s time is 2 s or more, 3 times in a row$/,
    );
    const [before, after] = [routeOf([step(dark)]), routeOf([step({ ...dark, value: 0.4 })])];
    expect(compareRoutes(before, before, [])).toEqual([]);
    expect(compareRoutes(before, after, [])[0]?.after).toContain('40 %');
  });
});

it.each([
  { kind: 'touch', sensor: 'stall', speedMPerS: 0.2 },
  { kind: 'square-up', back: false, speedMPerS: 0.2, pressS: 1 },
  { kind: 'to-line', count: 3, speedMPerS: 0.2 },
  { kind: 'square-on-line', speedMPerS: 0.2 },
  { kind: 'straight', distanceM: 2, speedMPerS: 0.2 },
])('a condition ends $kind, too, where the plan has it', (step) => {
  const looking = ['L', 'R'].reduce(
    (one, label, i) =>
      withDevice(one, {
        kind: 'light sensor',
        label,
        place: { aheadM: 0.05, leftM: i ? -0.04 : 0.04 },
      }),
    idealRobot,
  );
  const until = { reading: 'time', is: 'above', value: 1.5, confirmations: 1 };
  const route = routeOf([{ id: 's', ...step, until }]);
  const [planned] = planRoute(route, looking, bareTable);
  // Ahead at 20 cm/s for 1.5 s, from standing.
  expect(planned?.to.xM).toBeGreaterThan(1.24);
  expect(planned?.to.xM).toBeLessThan(1.31);
  const simulation = { robot: looking, table: bareTable, route, seed: 1 };
  const { end } = simulateRun(simulation, prepare(simulation), 0);
  expect(end.failure).toBeNull();
  expect(end.xM).toBeCloseTo(planned?.to.xM ?? 0, 3);
});
