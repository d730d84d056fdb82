import { expect, it } from 'vitest';
import { planRoute } from '../../src/core/course/plan';
import { stepCard } from '../../src/core/course/stepCard';
import { numberInRoute, stretchOf } from '../../src/core/course/stretch';
import { bareTable, deg, idealRobot, routeOf } from './support';

const route = routeOf([
  { id: 'a', kind: 'straight', distanceM: 0.5 },
  { id: 'b', kind: 'turn', mode: 'to', angleRad: deg(90), leadRad: 0 },
  { id: 'c', kind: 'straight', distanceM: 0.4 },
  { id: 'd', kind: 'turn', mode: 'to', angleRad: deg(180), leadRad: 0 },
]);

it('a stretch by itself begins where the route comes to it, and ends where the route does', () => {
  const alone = stretchOf(route, idealRobot, bareTable, { from: 2, to: 3 });
  if (alone === null) throw new Error('the route has these steps');
  const [whole, part] = [route, alone].map((one) => planRoute(one, idealRobot, bareTable));
  expect(part?.map(({ from, to }) => [from, to])).toEqual(
    whole?.slice(2).map(({ from, to }) => [from, to]),
  );
  expect(alone.placement).toEqual(route.placement);
  // A sensor that is zeroed there counts from the heading in which the robot is placed.
  expect(stepCard(alone, idealRobot, bareTable)[1]?.until).toEqual([
    'the heading shows 90° or more',
  ]);
  expect(stepCard(route, idealRobot, bareTable)[3]?.until).toEqual([
    'the heading shows 180° or more',
  ]);
  expect(numberInRoute('2b.1', 2)).toBe('4b.1');
  for (const to of [4, 1, Number.NaN])
    expect(stretchOf(route, idealRobot, bareTable, { from: 2, to })).toBeNull();
});
