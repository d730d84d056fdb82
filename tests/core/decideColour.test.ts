import { describe, expect, it } from 'vitest';
import { calibrationValueSchema } from '../../src/core/calibration/calibration';
import { fittedRobot } from '../../src/core/calibration/fittedRobot';
import { plannedBranches } from '../../src/core/course/branches';
import { planRoute, type PlannedStep } from '../../src/core/course/plan';
import { routeSchema, type Route } from '../../src/core/course/route';
import { prepare } from '../../src/core/forecast/prepare';
import { routeCheck } from '../../src/core/forecast/routeCheck';
import { simulateRun } from '../../src/core/forecast/run';
import type { Robot } from '../../src/core/robot/robot';
import type { Table } from '../../src/core/table/table';
import { bareTable, idealRobot, withDevice } from './support';

const drive = (distanceM: number) => ({ kind: 'straight', distanceM });
/** A route that names no ids: each step is given one. */
const given = (steps: object[]): Route => {
  const route = routeSchema.parse({ start: { xM: 1, yM: 1, headingRad: 0 }, steps });
  return { ...route, placement: { alongSdM: 0, acrossSdM: 0, headingSdRad: 0 } };
};

describe('a decision by colour', () => {
  const colour = { kind: 'colour sensor', id: 'c', label: 'C1', behaviour: { noiseShare: 0 } };
  const sees = withDevice(idealRobot, colour);
  const byColour = (names: string[], usual = 'otherwise') => ({
    kind: 'decide',
    colour: 'C1',
    classes: Object.fromEntries(names.map((name, i) => [name, [drive(0.1 * (i + 1))]])),
    usual,
    otherwise: [drive(-0.2)],
  });
  const on = (field: string | null): Table => ({
    ...bareTable,
    fields: field === null ? [] : [{ x1M: 0.8, y1M: 0.8, x2M: 1.2, y2M: 1.2, colour: field }],
  });
  const endsAt = (field: string | null, steps: object[], robot = sees) => {
    const simulation = { robot, table: on(field), route: given(steps), seed: 1 };
    return simulateRun(simulation, prepare(simulation), 0).end.xM;
  };

  it('goes by the colour that lies there, by its word as long as nobody has read it', () => {
    const step = byColour(['red', 'blue', 'yellow']);
    for (const [field, xM] of [
      ['#c81e1e', 1.1],
      ['#ff0000', 1.1],
      ['#1f4fb0', 1.2],
      ['#f0d020', 1.3],
      ['#1f8a3c', 0.8],
      [null, 0.8],
    ] as const)
      expect(endsAt(field, [step])).toBeCloseTo(xM, 2);
    const [asked] = planRoute(given([step]), sees, on('#c81e1e'));
    expect(asked).toMatchObject({ found: 'classes.red', problems: ['answers-otherwise'] });
    const check = routeCheck([asked as PlannedStep], [], sees, on('#c81e1e'));
    expect(check[0]?.mend?.step).toMatchObject({ kind: 'decide-colour', usual: 'red' });
  });

  it('goes by what the team has read, also where its names are no colours', () => {
    const step = byColour(['our loading bay'], 'our loading bay');
    const problems = (robot: Robot) => planRoute(given([step]), robot, on('#7a2f9c'))[0]?.problems;
    expect(problems(sees)).toContain('unknown-colour');
    const read = calibrationValueSchema.parse({
      kind: 'colour-classes',
      representation: 'raw',
      rules: [
        {
          name: 'our loading bay',
          sentence: '',
          boxes: [
            [
              { by: 'b', low: 0.2, high: 0.6 },
              { by: 'g', low: null, high: 0.1 },
            ],
          ],
        },
        { name: 'mat', sentence: '' },
      ],
      references: { white: [850, 850, 850], black: [40, 40, 40] },
      countsTo: 1000,
      errorRate: 0,
      errorHigh95: 0.1,
      n: 20,
    });
    const { robot } = fittedRobot(sees, [read]);
    expect(problems(robot)).toEqual([]);
    expect(endsAt('#7a2f9c', [step], robot)).toBeCloseTo(1.1, 2);
    expect(endsAt('#1f8a3c', [step], robot)).toBeCloseTo(0.8, 2);
  });

  it('is planned by its usual list, with every other beside it, and names each by its colour', () => {
    const route = given([byColour(['red', 'blue'], 'blue')]);
    const plan = planRoute(route, sees, on('#1f4fb0'));
    expect(plan.map(({ number }) => number)).toEqual(['1', '1b.1']);
    const paths = plannedBranches(route, sees, on('#1f4fb0'), plan).map(({ path }) => path);
    expect(paths).toEqual([
      [0, 'classes', 'red'],
      [0, 'otherwise'],
    ]);
    const blind = planRoute(route, idealRobot, on(null));
    expect(blind[0]?.problems).toContain('no-such-sensor');
  });
});
