import { describe, expect, it } from 'vitest';
import { planRoute } from '../../src/core/course/plan';
import { plannedBranches } from '../../src/core/course/branches';
import { routeCheck } from '../../src/core/forecast/routeCheck';
import { prepare } from '../../src/core/forecast/prepare';
import { simulateRun } from '../../src/core/forecast/run';
import { robotSchema } from '../../src/core/robot/robot';
import { missionSchema, tableSchema } from '../../src/core/table/table';
import { bareTable, idealRobot, routeOf, withDevice } from './support';

const beam = missionSchema.parse({
  id: 'beam',
  name: 'tilting beam',
  points: 20,
  pose: { xM: 1.3, yM: 1, headingRad: 0 },
  window: { alongM: 0.02, acrossM: 0.02, headingRad: 0.1 },
});
const line = { x1M: 2, y1M: 0, x2M: 2, y2M: 3, widthM: 0.02 };
const table = tableSchema.parse({ ...bareTable, missions: [beam], lines: [line] });
const seeing = (periodS: number) =>
  withDevice(idealRobot, {
    kind: 'light sensor',
    label: 'L1',
    behaviour: { periodS, spotDiameterM: 0.008, noiseShare: 0 },
  });
const robot = { ...seeing(0.02), loopPeriodS: 0.01 };
const found = (steps: object[], by = robot) => {
  const route = routeOf(steps);
  const plan = planRoute(route, by, table);
  return routeCheck(plan, plannedBranches(route, by, table, plan), by, table);
};
const drive = (distanceM: number) => ({ kind: 'straight', distanceM });
const mark = { kind: 'mark', missionId: 'beam' };
const toLine = (speedMPerS: number) => ({ kind: 'to-line', speedMPerS });

describe('the check of a route', () => {
  it('finds nothing about one that is as it should be', () => {
    expect(found([drive(0.3), mark, toLine(0.3)])).toEqual([]);
  });

  it('says how far off its mission a mark is planned, and that one counts once', () => {
    const [off] = found([drive(0.35), mark]);
    expect(off).toMatchObject({ number: '2', problem: 'out-of-window' });
    expect(off?.sentence).toContain('50 mm and 0° off the tilting beam');
    const [again] = found([drive(0.3), mark, mark]);
    expect(again).toMatchObject({ number: '3', problem: 'marked-twice', mend: { step: null } });
    expect(again?.sentence).toContain('in step 2 already');
  });

  it('knows a speed at which a line may be missed, and one at which it is not', () => {
    const [fast] = found([toLine(1.2)]);
    expect(fast).toMatchObject({ number: '1', problem: 'line-too-fast' });
    const slower = fast?.mend?.step;
    expect(slower).toMatchObject({ kind: 'to-line' });
    expect(found([slower as object])).toEqual([]);
    // Driven at the speed that mends it, it is seen in every run, wherever it begins.
    for (let i = 0; i < 40; i += 1) {
      const route = routeOf([slower as object], { xM: 1 + i / 1000, yM: 1, headingRad: 0 });
      const simulation = { robot, table, route, seed: i };
      expect(simulateRun(simulation, prepare(simulation), 0).end.failure).toBeNull();
    }
  });

  it('says that a power was never timed, of robots that are told powers', () => {
    const { program, ...record } = idealRobot;
    const byPower = robotSchema.parse({
      ...record,
      program: { ...program, command: 'percent' },
    });
    expect(found([drive(0.3)], byPower).map(({ problem }) => problem)).toEqual(['not-timed']);
    expect(found([drive(0.3)])).toEqual([]);
  });

  it('says what a plan doubts once, however often the step is made', () => {
    const touch = { kind: 'touch', sensor: 'bumper' };
    const all = found([{ kind: 'repeat', times: 3, steps: [touch] }]);
    expect(all).toHaveLength(1);
    expect(all[0]).toMatchObject({ number: '1.1', problem: 'no-such-sensor' });
  });
});
