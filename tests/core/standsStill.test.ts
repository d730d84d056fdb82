import { expect, it } from 'vitest';
import { planRoute } from '../../src/core/course/plan';
import { routeSchema } from '../../src/core/course/route';
import { standsStillFirst, withStandstill } from '../../src/core/course/standsStill';
import { stepCard, typedSentences } from '../../src/core/course/stepCard';
import { buildingSheet } from '../../src/core/building/sheet';
import { headingOf, withHeading } from '../../src/core/devices/ofRobot';
import { prepare } from '../../src/core/forecast/prepare';
import { simulateRun } from '../../src/core/forecast/run';
import { bareTable, deg, idealRobot, routeOf } from './support';

const start = { xM: 0.5, yM: 1.5, headingRad: deg(30) };
const bare = routeOf([{ kind: 'straight', distanceM: 0.8 }], start);
const exact = { ...bare, placement: { alongSdM: 0, acrossSdM: 0, headingSdRad: 0 } };
const [stays, goesOn] = (['stays', 'goes-on'] as const).map((whenNot) =>
  withStandstill(exact, idealRobot, whenNot, ['g', 'z']),
);

function end(route = exact, robot = idealRobot) {
  const simulation = { robot, route, table: bareTable, seed: 1 };
  return simulateRun(simulation, prepare(simulation), 0).end;
}

it('a route that waits until its robot stands still ends where it did, half a second later', () => {
  expect(standsStillFirst(exact)).toBe(false);
  for (const route of [stays, goesOn]) {
    expect(route && standsStillFirst(route)).toBe(true);
    expect(routeSchema.parse(JSON.parse(JSON.stringify(route)))).toEqual(route);
    expect(
      planRoute(route ?? exact, idealRobot, bareTable).flatMap(({ problems }) => problems),
    ).toEqual([]);
    const [without, with_] = [end(), end(route)];
    expect(with_.failure).toBeNull();
    expect(Math.hypot(with_.xM - without.xM, with_.yM - without.yM)).toBeLessThan(0.001);
    expect(with_.timeS - without.timeS).toBeGreaterThan(0.4);
    expect(with_.timeS - without.timeS).toBeLessThan(0.8);
  }
});

it('one that never stands still stays, or goes on, as was chosen before, and never hangs', () => {
  // Somebody turns it by 8° a second all the while: as its sensor tells it.
  const turned = withHeading(idealRobot, { driftRadPerS: deg(8) });
  expect(headingOf(turned)?.driftRadPerS).toBeCloseTo(deg(8), 9);
  expect(end(stays, turned)).toMatchObject({ failure: 'time', failedStep: 0 });
  expect(end(stays, turned).timeS).toBeLessThan(6);
  expect(end(goesOn, turned)).toMatchObject({ failure: null });
  expect(end(goesOn, turned).timeS).toBeGreaterThan(5);
});

it('takes what drifted while it was waited for out of the heading, and tells all of it to whoever types it', () => {
  const wait = { id: 'w', kind: 'wait', seconds: 20 };
  const drifting = withHeading(idealRobot, { driftRadPerS: deg(0.5) });
  const later = routeSchema.parse({ ...exact, steps: [wait, ...exact.steps] });
  const gated = routeSchema.parse({ ...exact, steps: [wait, ...(stays?.steps ?? [])] });
  const off = (route: typeof exact) => Math.abs(end(route, drifting).headingRad - start.headingRad);
  expect(off(later)).toBeGreaterThan(deg(9));
  expect(off(gated)).toBeLessThan(deg(2.5));
  const card = stepCard(stays ?? exact, idealRobot, bareTable)
    .flatMap(typedSentences)
    .join(' ');
  expect(card).toMatch(/still|stays within/);
  expect(card).toContain('Then set the heading to 0°.');
  expect(card).toContain('within 5 s or it has failed');
  const { program, recipes } = buildingSheet(stays ?? exact, idealRobot, bareTable);
  expect(program.filter((line) => line === 'set heading sensor to 0').length).toBe(2);
  expect(recipes.flatMap(({ lines }) => lines).join(' ')).toMatch(/give up/);
});
