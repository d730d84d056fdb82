import { expect, it } from 'vitest';
import { asTyped } from '../../src/core/course/asTyped';
import { planExactly, planRoute } from '../../src/core/course/plan';
import { buildingSheet } from '../../src/core/building/sheet';
import { motorDegreesFromDistance } from '../../src/core/robot/conversions';
import { bareTable, idealRobot, routeOf } from './support';

const robot = {
  ...idealRobot,
  program: {
    ...idealRobot.program,
    command: 'degrees per second' as const,
    travel: 'motor degrees' as const,
  },
};
const route = routeOf([
  { id: 'a', kind: 'straight', distanceM: 0.3333, speedMPerS: 0.2345 },
  { id: 'b', kind: 'repeat', times: 2, steps: [{ id: 'c', kind: 'straight', distanceM: -0.1 }] },
]);

it('a plan drives what the fields of its programs can hold: whole degrees, whole degrees a second', () => {
  const [first, back] = planRoute(route, robot, bareTable);
  const degrees = motorDegreesFromDistance(robot, first?.distanceM ?? 0);
  expect(degrees).toBeCloseTo(682, 9);
  expect(motorDegreesFromDistance(robot, 0.3333)).toBeCloseTo(682.03, 1);
  expect(motorDegreesFromDistance(robot, back?.distanceM ?? 0)).toBeCloseTo(-205, 9);
  // And so it stands on the sheet that is typed from.
  expect(buildingSheet(route, robot, bareTable).program.join('\n')).toMatch(
    /DISTANCE = 682, DIRECTION = 1, SPEED = 480,/,
  );
});

it('what is typed once more is the same; where nobody has said how programs count nothing is rounded', () => {
  const once = asTyped(route, robot);
  expect(asTyped(once, robot)).toEqual(once);
  expect(asTyped(route, idealRobot)).toEqual(route);
  expect(planExactly(route, robot, bareTable)[0]?.distanceM).toBe(0.3333);
});
