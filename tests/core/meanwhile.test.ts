import { describe, expect, it } from 'vitest';
import { plannedBranches } from '../../src/core/course/branches';
import { planRoute } from '../../src/core/course/plan';
import { routeSchema } from '../../src/core/course/route';
import { stepCard } from '../../src/core/course/stepCard';
import { prepare } from '../../src/core/forecast/prepare';
import { routeCheck } from '../../src/core/forecast/routeCheck';
import { simulateRun } from '../../src/core/forecast/run';
import { missionSchema, tableSchema } from '../../src/core/table/table';
import { describeIssue } from '../../src/formats/issues';
import { bareTable, idealRobot, routeOf, withDevice, withoutDevices } from './support';

const robot = [
  {
    kind: 'distance sensor',
    label: 'side',
    facingRad: Math.PI / 2,
    behaviour: { noiseM: 0, lostEchoShare: 0 },
  },
  { kind: 'attachment motor', label: 'arm', port: '3' },
].reduce(withDevice, withoutDevices(idealRobot, 'distance sensor'));
const bell = missionSchema.parse({
  id: 'bell',
  name: 'garden bell',
  points: 10,
  pose: { xM: 1.5, yM: 1, headingRad: 0 },
  window: {},
});
/** Two posts to the left of the way, 30 cm off: from 1.5 m and from 2.5 m on. */
const post = (xM: number) => ({ x1M: xM, y1M: 1.3, x2M: xM + 0.2, y2M: 1.3 });
const table = tableSchema.parse({ ...bareTable, walls: [post(1.5), post(2.5)], missions: [bell] });

const passing = (more: object = {}) => ({
  id: 'm',
  kind: 'meanwhile',
  on: { reading: { unit: 'side', channel: 'distance' }, is: 'below', value: 0.5 },
  hysteresis: 0.1,
  motion: { id: 'd', kind: 'straight', distanceM: 2.2, speedMPerS: 0.2 },
  up: [
    { id: 'u', kind: 'attachment', unit: 'arm', angleRad: 1, wait: false },
    { id: 'w', kind: 'mark', missionId: 'bell', dwellS: 0 },
  ],
  down: [{ id: 'l', kind: 'attachment', unit: 'arm', angleRad: 0, wait: false }],
  ...more,
});

describe('what is done meanwhile', () => {
  it('is done each time that it begins to be so and ceases to, and takes nothing from the motion', () => {
    const route = routeOf([passing()]);
    const simulation = { robot, table, route, seed: 1 };
    const arm = {
      unitId: robot.units.find(({ label }) => label === 'arm')?.id ?? '',
      channel: 'angle',
    };
    const angles: [number, number][] = [];
    const { end, marks } = simulateRun(simulation, prepare(simulation), 0, ({ pose, readings }) =>
      angles.push([pose.xM, readings.reading(arm) ?? 0]),
    );
    expect(end.xM).toBeCloseTo(planRoute(route, robot, table).at(-1)?.to.xM ?? 0, 3);
    // Worked in passing as its beam comes to either post.
    expect(marks).toHaveLength(2);
    for (const [i, postM] of [1.5, 2.5].entries()) {
      expect(Math.abs((marks[i]?.xM ?? 0) - postM)).toBeLessThan(0.08);
    }
    const atX = (xM: number) => angles.find(([x]) => x >= xM)?.[1] ?? NaN;
    expect(atX(1.4)).toBeCloseTo(0, 1);
    expect(Math.abs(atX(1.69))).toBeGreaterThan(20);
    expect(Math.abs(atX(2.4))).toBeLessThan(8);
    expect(Math.abs(atX(2.69))).toBeGreaterThan(20);
  });

  it('touches no wheel: only arms and missions are taken', () => {
    const refused = (up: object[]) => {
      const { error } = routeSchema.safeParse({
        start: { xM: 1, yM: 1, headingRad: 0 },
        steps: [passing({ up })],
      });
      return error?.issues[0] && describeIssue(error.issues[0]);
    };
    expect(refused([])).toBeUndefined();
    expect(refused([{ id: 'x', kind: 'straight', distanceM: 0.1 }])).toMatch(/wheels are busy/);
  });

  it('is checked and told as every other step, with both of its readings', () => {
    const route = routeOf([passing({ up: [{ id: 'u', kind: 'attachment', position: 'up' }] })]);
    const plan = planRoute(route, robot, table);
    const check = routeCheck(plan, plannedBranches(route, robot, table, plan), robot, table);
    expect(check).toMatchObject([
      { number: '1b.1', path: [0, 'up', 0], problem: 'unknown-position' },
    ]);
    const [owner, motion, up] = stepCard(route, robot, table);
    expect(owner?.notes.join()).toContain(
      'It begins as soon as side shows 50 cm or less, and ends as soon as side shows 60 cm or more.',
    );
    expect([motion?.number, motion?.path, up?.when]).toEqual([
      '1a.1',
      [0, 'motion'],
      'each time that it begins to be so',
    ]);
  });

  it('is planned and checked where it stands in a list that is passed by, too', () => {
    const volts = { reading: 'volts', is: 'below', value: 1 };
    const within = passing({ up: [{ id: 'u', kind: 'attachment', position: 'up' }] });
    const route = routeOf([{ id: 'x', kind: 'decide', if: volts, usual: 'else', then: [within] }]);
    const plan = planRoute(route, robot, table);
    const branches = plannedBranches(route, robot, table, plan);
    expect(branches.map(({ path }) => path)).toContainEqual([0, 'then', 0, 'up']);
    expect(routeCheck(plan, branches, robot, table)).toContainEqual(
      expect.objectContaining({ number: '1a.1b.1', problem: 'unknown-position' }),
    );
  });

  it('fails by a sensor that is not there', () => {
    const route = routeOf([passing()]);
    const simulation = { robot: withoutDevices(robot, 'distance sensor'), table, route, seed: 1 };
    const { end } = simulateRun(simulation, prepare(simulation), 0);
    expect(end).toMatchObject({ failure: 'no-sensor', failedPath: [0, 'motion'] });
  });
});
