import { describe, expect, it } from 'vitest';
import { describeStep } from '../../src/core/course/describe';
import { planRoute } from '../../src/core/course/plan';
import { traceRun } from '../../src/core/forecast/simulateRange';
import { routeNeeds } from '../../src/core/course/wiring';
import { bareTable, idealRobot, routeOf, withDevice } from './support';

const START = { xM: 1, yM: 1, headingRad: 0 };
const robot = withDevice(
  withDevice(withDevice(idealRobot, { kind: 'distance sensor', place: { aheadM: 0.1 } }), {
    kind: 'light sensor',
    place: { aheadM: 0.05 },
  }),
  { kind: 'touch sensor', place: { aheadM: 0.11 } },
);
const waits = (more: object) => [{ kind: 'wait', until: 'reading', timeS: 4, ...more }];
const stands = (steps: object[], who = robot, table = bareTable) => {
  // What comes after it says when it is over.
  const route = routeOf([...steps, { kind: 'straight', distanceM: -0.1 }], START);
  const trace = traceRun({ robot: who, table, route, seed: 1 }, 0);
  return trace.filter(({ step }) => step === 0).at(-1)?.tS ?? 0;
};

describe('a step that waits', () => {
  it('stands for its time, and says so', () => {
    const steps = [{ kind: 'wait', timeS: 1.5 }];
    expect(stands(steps)).toBeCloseTo(1.5, 1);
    const [planned] = planRoute(routeOf(steps), robot, bareTable);
    expect(planned).toMatchObject({ durationS: 1.5, to: START, problems: [] });
    expect(planned && describeStep(planned.step, [])).toBe('Wait for 1.5 s');
    expect(routeNeeds([routeOf(steps)], robot)).toEqual([]);
  });

  // The border is 1.9 m ahead of the sensor on a table of 3 m; over a line the light reads 12 %, pressed is 1.
  const line = { x1M: 1.05, y1M: 0.5, x2M: 1.05, y2M: 1.5, widthM: 0.04 };
  const wall = { x1M: 1.112, y1M: 0.5, x2M: 1.112, y2M: 1.5 };
  it.each([
    ['reads 150 cm or more', { sensor: 'distance sensor', value: 1.5, passes: 'above' }, {}],
    ['reads 20 % or less', { sensor: 'light sensor', value: 0.2 }, { lines: [line] }],
    ['is pressed', { sensor: 'touch sensor', passes: 'above' }, { walls: [wall] }],
    ['is let go', { sensor: 'touch sensor', passes: 'below' }, {}],
  ])('goes on at once where its sensor %s', (words, more, about) => {
    const table = { ...bareTable, widthM: 3, ...about };
    const [planned] = planRoute(routeOf(waits(more), START), robot, table);
    expect(planned).toMatchObject({ durationS: 0, problems: [] });
    expect(planned && describeStep(planned.step, []).replaceAll('\u00a0', ' ')).toContain(words);
    expect(stands(waits(more), robot, table)).toBeLessThan(0.2);
  });

  it('goes on when its time is over, and warns that nothing planned will end it', () => {
    const more = { sensor: 'distance sensor', value: 0.1 };
    expect(stands(waits(more))).toBeCloseTo(4, 1);
    const [planned] = planRoute(routeOf(waits(more), START), robot, bareTable);
    expect(planned).toMatchObject({ durationS: 4, problems: ['waits-all-the-time'] });
  });

  it('says what it needs, and fails without it', () => {
    const route = routeOf(waits({ sensor: 'light sensor' }), START);
    expect(routeNeeds([route], idealRobot)).toMatchObject([
      { kind: 'light sensor', steps: 1, plugged: false },
    ]);
    expect(planRoute(route, idealRobot, bareTable)[0]?.problems).toEqual(['no-such-sensor']);
  });
});
