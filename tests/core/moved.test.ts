import { describe, expect, it } from 'vitest';
import { planRoute } from '../../src/core/course/plan';
import { prepare } from '../../src/core/forecast/prepare';
import { routeCheck } from '../../src/core/forecast/routeCheck';
import { simulateRun } from '../../src/core/forecast/run';
import { asLeft, loadsOn, withoutMission } from '../../src/core/table/moved';
import { tableSchema, type Table } from '../../src/core/table/table';
import { robot } from './motionsDrawn';
import { bareTable, routeOf } from './support';

const START = { xM: 0.6, yM: 1, headingRad: 0 };
const mission = (id: string, xM: number, after: string[] = []) => ({
  ...{ id, name: id, points: 10, after },
  pose: { xM, yM: 1, headingRad: 0 },
  window: { alongM: 0.01, acrossM: 0.01, headingRad: 0.05 },
});
const box = (xM: number, moved: object) => ({
  ...{ x1M: xM, y1M: 0.9, x2M: xM + 0.05, y2M: 1.1, heightM: 0.2 },
  ...moved,
});
const drive = (distanceM: number) => ({ kind: 'straight', distanceM, speedMPerS: 0.2 });
const work = (missionId: string) => ({ kind: 'mark', missionId, dwellS: 0.5 });

function make(steps: object[], table: Table, startM = START.xM) {
  const route = routeOf(
    steps.map((step, i) => ({ id: `s${i}`, ...step })),
    START,
  );
  const plan = planRoute(route, robot, table);
  const placed = { ...route, start: { ...START, xM: startM } };
  const simulation = { robot, table, route: placed, seed: 3 };
  return {
    to: plan.at(-1)?.to ?? START,
    check: routeCheck(plan, [], robot, table).map(({ problem }) => problem),
    ...simulateRun(simulation, prepare(simulation), 0),
  };
}

describe('what the robot takes away', () => {
  const table = tableSchema.parse({
    ...bareTable,
    obstacles: [box(1.3, { goneAfter: 'fetch' })],
    missions: [mission('fetch', 1)],
  });
  it('is in its way before, and not after', () => {
    const fetched = make([drive(0.4), work('fetch'), drive(0.6)], table);
    expect(fetched.check).toEqual([]);
    expect(fetched.end.failure).toBeNull();
    expect(fetched.end.xM).toBeCloseTo(1.6, 2);
    const left = make([drive(0.4), drive(0.6), work('fetch')], table);
    expect(left.check).toContain('outline-meets');
    expect(left.end.failure).toBe('wall');
  });
  it('stays where a run misses it, whatever was planned', () => {
    const beside = make([drive(0.4), work('fetch'), drive(0.6)], table, START.xM + 0.03);
    expect(beside.check).toEqual([]);
    expect(beside.end.failure).toBe('wall');
  });
});

describe('what the robot leaves', () => {
  const steps = [
    drive(0.4),
    work('bring'),
    drive(-0.3),
    { kind: 'approach', thresholdM: 0.1, speedMPerS: 0.1 },
  ];
  const onTable = (moved: object) =>
    tableSchema.parse({
      ...bareTable,
      obstacles: [box(1.25, moved)],
      missions: [mission('bring', 1)],
    });
  it('is seen by its sensors from then on, in the plan as in the simulation', () => {
    const { to, end, check } = make(steps, onTable({ thereAfter: 'bring' }));
    expect(check).toEqual([]);
    // The eye sits 10 cm ahead, and stops 10 cm before the box.
    expect(to.xM).toBeCloseTo(1.05, 2);
    expect(Math.abs(end.xM - to.xM)).toBeLessThan(0.006);
    const never = make(steps, onTable({ thereAfter: 'something else' }));
    expect(never.to.xM).toBeGreaterThan(1.5);
  });
});

it('a load is known by its two missions; a mission that is taken away moves nothing any more', () => {
  const table = tableSchema.parse({
    ...bareTable,
    obstacles: [box(1.3, { goneAfter: 'fetch' }), box(0.4, { thereAfter: 'bring' })],
    missions: [mission('fetch', 1), mission('bring', 0.7, ['fetch'])],
  });
  expect(loadsOn(table)).toEqual([{ takenBy: 'fetch', leftBy: 'bring' }]);
  const there = (worked: string[]) => asLeft(table, worked).obstacles.map(({ x1M }) => x1M);
  expect([there([]), there(['fetch']), there(['fetch', 'bring'])]).toEqual([[1.3], [], [0.4]]);
  const without = withoutMission(table, 'fetch');
  expect(without.missions.map(({ id }) => id)).toEqual(['bring']);
  expect(asLeft(without, ['fetch']).obstacles).toHaveLength(1);
});
