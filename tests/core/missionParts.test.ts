import { describe, expect, it } from 'vitest';
import { planRoute } from '../../src/core/course/plan';
import { routeTargets } from '../../src/core/course/routeMissions';
import { pointsOf, works } from '../../src/core/forecast/points';
import { prepare } from '../../src/core/forecast/prepare';
import { routeCheck } from '../../src/core/forecast/routeCheck';
import { simulateRun } from '../../src/core/forecast/run';
import { simulateAll } from '../../src/core/forecast/simulateAll';
import { forecast } from '../../src/core/forecast/summary';
import { tableSchema } from '../../src/core/table/table';
import { bareTable, deg, idealRobot, routeOf } from './support';

const mission = (id: string, xM: number, more: object = {}) => ({
  id,
  name: id,
  points: 10,
  pose: { xM, yM: 1, headingRad: 0 },
  window: { alongM: 0.02, acrossM: 0.02, headingRad: deg(5) },
  ...more,
});
const tableWith = (...missions: object[]) => tableSchema.parse({ ...bareTable, missions });
const drive = (distanceM: number, more: object = {}) => ({
  kind: 'straight',
  distanceM,
  speedMPerS: 0.4,
  ...more,
});
const mark = (missionId: string, more: object = {}) => ({
  kind: 'mark',
  missionId,
  dwellS: 0.5,
  ...more,
});
const withIds = (steps: object[]) => steps.map((step, i) => ({ id: `s${i}`, ...step }));
const run = (steps: object[], table: ReturnType<typeof tableWith>) => {
  const route = routeOf(withIds(steps));
  const simulation = { robot: idealRobot, table, route, seed: 1 };
  const made = simulateRun(simulation, prepare(simulation), 0);
  const targets = routeTargets(route, table);
  const plan = planRoute(route, idealRobot, table);
  return {
    made,
    worked: targets.filter((one) => works(made, one, targets)).map(({ key }) => key),
    points: pointsOf(made, targets),
    problems: routeCheck(plan, [], idealRobot, table).map(({ problem }) => problem),
  };
};

describe('a mission in parts', () => {
  const parts = [
    { name: 'up', points: 5 },
    { name: 'in the bin', points: 3, pieces: 4, pose: { xM: 1.8, yM: 1, headingRad: 0 } },
    { name: 'knocked over', points: -8 },
  ];
  const table = tableWith(mission('lever', 1.4, { parts }));

  it('scores each part that is worked, by piece, and what it is worth besides once all of them are', () => {
    const some = run([drive(0.4), mark('lever', { part: 'up' })], table);
    expect(some).toMatchObject({ worked: ['lever: up'], points: 5, problems: [] });
    expect(some.made.marks[0]).toMatchObject({ missionId: 'lever', part: 'up' });
    const two = [drive(0.4), mark('lever', { part: 'up' }), drive(0.4)];
    const more = run([...two, mark('lever', { part: 'in the bin' })], table);
    expect(more).toMatchObject({ points: 5 + 3 * 4, problems: [] });
    const knocked = mark('lever', { part: 'knocked over' });
    const all = run(
      [...two.toSpliced(2, 0, knocked), mark('lever', { part: 'in the bin' })],
      table,
    );
    expect(all.points).toBe(5 + 12 - 8 + 10);
  });

  it('foretells each part by itself, with its points', () => {
    const route = routeOf(withIds([drive(0.4), mark('lever')]));
    const simulation = { robot: idealRobot, table, route, seed: 1 };
    const all = simulateAll(simulation, 8);
    if ('sentence' in all) throw new Error(all.sentence);
    const found = forecast(simulation, all.runs);
    const chances = found.missions.map(({ mission: { name, points }, chance }) => [
      name,
      points,
      chance.rate,
    ]);
    // Without a part it is a mark of all of them: one lies elsewhere.
    expect(chances).toEqual([
      ['lever, up', 5, 1],
      ['lever, in the bin', 12, 0],
      ['lever, knocked over', -8, 1],
    ]);
    expect(found.expectedPoints).toBeCloseTo(-3, 9);
    expect(run([drive(0.4), mark('lever', { part: 'down' })], table).problems).toContain(
      'unknown-part',
    );
  });
});

it('a mission that counts only after another scores nothing before it, and the check says so', () => {
  const table = tableWith(mission('gate', 1.2), mission('tower', 1.5, { after: ['gate'] }));
  const [toGate, toTower] = [drive(0.2), drive(0.3)];
  const right = run([toGate, mark('gate'), toTower, mark('tower')], table);
  expect(right).toMatchObject({ points: 20, problems: [] });
  const wrong = run([drive(0.5), mark('tower'), drive(-0.3), mark('gate')], table);
  expect(wrong).toMatchObject({ points: 10, worked: ['gate'], problems: ['too-early'] });
  // Another launch may have worked it.
  expect(run([drive(0.5), mark('tower')], table)).toMatchObject({ points: 10, problems: [] });
  const missed = run([drive(0.1), mark('gate'), drive(0.4), mark('tower')], table);
  expect(missed).toMatchObject({ points: 0, problems: ['out-of-window'] });
});

it('a mission in passing is worked where the next motion comes by, fast enough and aimed at it', () => {
  const table = tableWith(mission('bell', 1.5));
  const passing = mark('bell', { passing: true });
  const by = run([passing, { kind: 'turn', angleRad: 0 }, drive(1)], table);
  expect(by).toMatchObject({ worked: ['bell'], problems: [] });
  expect(by.made.marks[0]?.xM).toBeCloseTo(1.5, 2);
  const slow = run([mark('bell', { passing: true, leastMPerS: 0.6 }), drive(1)], table);
  expect(slow.worked).toEqual([]);
  const fast = run([mark('bell', { passing: true, leastMPerS: 0.3 }), drive(1)], table);
  expect(fast.worked).toEqual(['bell']);
  for (const steps of [
    [passing, drive(0.3)],
    [{ kind: 'turn', angleRad: deg(8) }, passing, drive(1)],
    [drive(1), passing],
  ])
    expect(run(steps, table)).toMatchObject({ worked: [], problems: ['out-of-window'] });
});
