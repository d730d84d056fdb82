import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { withHeadingGain } from '../../src/core/calibration/applyHeadingGain';
import { compareRoutes } from '../../src/core/course/compare';
import { planRoute } from '../../src/core/course/plan';
import { routeSchema } from '../../src/core/course/route';
import { prepare } from '../../src/core/forecast/prepare';
import { simulateRun } from '../../src/core/forecast/run';
import { numbered } from '../../src/core/steps/tree';
import { routeNeeds } from '../../src/core/course/wiring';
import { describeIssue } from '../../src/formats/issues';
import { bareTable, deg, idealRobot, routeOf, stepTrees } from './support';

const drive = (id: string, distanceM: number) => ({ id, kind: 'straight', distanceM });
const quarter = (id: string) => ({ id, kind: 'turn', mode: 'by', angleRad: deg(90) });
const part = (id: string, steps: object[], name = 'corner') => ({ id, kind: 'part', name, steps });

const IN_PARTS = [drive('in', 0.4), part('p', [drive('side', 0.5), quarter('corner')])];
const IN_A_ROW = [drive('in', 0.4), drive('side', 0.5), quarter('corner')];

describe('steps that stand within another', () => {
  it('are planned and driven as if they stood in a row, each by its own number', () => {
    const plans = [IN_PARTS, IN_A_ROW].map((steps) =>
      planRoute(routeOf(steps), idealRobot, bareTable),
    );
    const [told, listed] = plans.map((plan) =>
      plan.map(({ to, durationS }) => ({ to, durationS })),
    );
    expect(told).toEqual(listed);
    expect(plans[0]?.map(({ number }) => number)).toEqual(['1', '2.1', '2.2']);
    const runs = [IN_PARTS, IN_A_ROW].map((steps) => {
      const simulation = { robot: idealRobot, table: bareTable, route: routeOf(steps), seed: 3 };
      return simulateRun(simulation, prepare(simulation), 0);
    });
    expect(runs[0]).toEqual(runs[1]);
  });

  it('are told one by one where versions differ, and not with what they stand in', () => {
    const before = routeOf(IN_PARTS);
    const changes = (steps: object[]) =>
      compareRoutes(before, routeOf(steps), []).map((one) => [one.kind, one.stepNumber]);
    const [first, corner] = IN_PARTS as [object, object];
    expect(changes([first, part('p', [drive('side', 0.6), quarter('corner')])])).toEqual([
      ['changed', '2.1'],
    ]);
    expect(changes([first, { ...corner, name: 'bend' }])).toEqual([['changed', '2']]);
    expect(changes([corner, first])).toEqual([['moved', '2']]);
    expect(changes([first, part('p', [drive('side', 0.5)]), quarter('corner')])).toEqual([
      ['moved', '3'],
    ]);
    expect(changes([first])).toEqual([
      ['removed', '2'],
      ['removed', '2.1'],
      ['removed', '2.2'],
    ]);
  });

  it('count for what a route needs, and take the gain that was tuned', () => {
    expect(routeNeeds([routeOf(IN_PARTS)], idealRobot)[0]?.steps).toBe(3);
    const measured = { ...idealRobot.measured, gains: { 'heading-hold': 2 } };
    const { route, changed } = withHeadingGain(routeOf(IN_PARTS), { ...idealRobot, measured });
    expect(changed).toBe(2);
    expect(withHeadingGain(route, { ...idealRobot, measured }).changed).toBe(0);
  });

  it('each have a number of their own, however they are nested', () => {
    const trees = stepTrees(fc.constant({ kind: 'part', name: 'bend' }));
    fc.assert(
      fc.property(trees, (steps) => {
        const numbers = numbered(routeOf(steps).steps).map(({ number }) => number);
        expect(numbers).toHaveLength(JSON.stringify(steps).split('"kind"').length - 1);
        expect(new Set(numbers).size).toBe(numbers.length);
        // In the order in which they are read.
        const inOrder = numbers.toSorted((a, b) => a.localeCompare(b, 'en', { numeric: true }));
        expect(numbers).toEqual(inOrder);
      }),
    );
  });

  it('stand not too deep, and only within what owns steps', () => {
    const refused = (steps: object[]) => {
      const { error } = routeSchema.safeParse({ start: { xM: 0, yM: 0, headingRad: 0 }, steps });
      return error?.issues[0] && describeIssue(error.issues[0]);
    };
    const nested = (levels: number): object =>
      levels === 0 ? drive('d', 0.1) : part(`p${levels}`, [nested(levels - 1)]);
    expect(refused([nested(3)])).toBeUndefined();
    expect(refused([nested(4)])).toMatch(/expected a motion: steps stand at most 4 levels/);
    const inDrive = { ...drive('d', 0.1), steps: [] };
    expect(refused([inDrive])).toBe('steps[0].steps: there is no such field');
    expect(refused([part('p', [], ' ')])).toBe('steps[0].name: expected a name');
  });
});
