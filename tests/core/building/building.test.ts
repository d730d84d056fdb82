import { describe, expect, it } from 'vitest';
import { buildingSheet, type BuildingSheet } from '../../../src/core/building/sheet';
import { planRoute } from '../../../src/core/course/plan';
import type { Route } from '../../../src/core/course/route';
import { prepare } from '../../../src/core/forecast/prepare';
import { simulateRun } from '../../../src/core/forecast/run';
import { wrap } from '../../../src/core/geometry/angle';
import type { Robot } from '../../../src/core/robot/robot';
import type { Table } from '../../../src/core/table/table';
import { STEP_DESCRIPTIONS } from '../../../src/core/steps/descriptions';
import { draws } from '../../support/draws';
import { deg, routeOf } from '../support';
import { CHANGED, tile } from './changedRoute';
import { changedSheets } from './changes';
import { ROBOTS, ROUTES, start, table } from './routes';
import { driveSheet } from './sheetDriver';

const withIds = (steps: unknown[]): unknown[] => {
  let next = 0;
  return JSON.parse(JSON.stringify(steps), (_key, one: unknown) =>
    typeof one === 'object' && one !== null && 'kind' in one
      ? { id: `s${(next += 1)}`, ...one }
      : one,
  ) as unknown[];
};
const routeNamed = (name: string): Route => {
  const [steps, from = start] = ROUTES[name] ?? [[]];
  return routeOf(withIds(steps), from);
};

function simulated(route: Route, robot: Robot, planned: Table, on = planned) {
  const simulation = { robot, table: on, route, seed: 1 };
  const prepared = prepare(simulation, (answers) => planRoute(route, robot, planned, answers));
  return simulateRun(simulation, prepared, 0).end;
}

/** How far apart they end, mm, degrees and seconds; far where the sheet gave up. */
function apart(sheet: BuildingSheet, route: Route, robot: Robot, on: Table) {
  const run = simulated(route, robot, on);
  const driven = driveSheet(sheet, robot, on, route.start);
  if (driven === null || run.failure !== null)
    return {
      mm: driven === null && run.failure !== null ? 0 : 1e3,
      degrees: 0,
      seconds: 0,
      failure: run.failedNumber,
    };
  return {
    mm: 1000 * Math.hypot(driven.xM - run.xM, driven.yM - run.yM),
    degrees: Math.abs(wrap(driven.headingRad - run.headingRad)) / deg(1),
    seconds: Math.abs(driven.timeS - run.timeS),
    failure: run.failedNumber,
  };
}

describe('the building sheet', () => {
  it('has a route for every kind of step', () => {
    const text = JSON.stringify(Object.keys(ROUTES).map(routeNamed));
    for (const kind of Object.keys(STEP_DESCRIPTIONS)) expect(text).toContain(`"kind":"${kind}"`);
  });

  for (const [of, robot] of Object.entries(ROBOTS))
    for (const name of Object.keys(ROUTES))
      it(`drives a robot ${of} as it is simulated: ${name}`, () => {
        const route = routeNamed(name);
        const sheet = buildingSheet(route, robot, table);
        const { mm, degrees, seconds, failure } = apart(sheet, route, robot, table);
        expect(failure).toBeNull();
        expect(mm).toBeLessThan(5);
        expect(degrees).toBeLessThan(0.5);
        expect(seconds).toBeLessThan(0.5);
      });

  it('shows every number, sign, inequality and port that is typed wrong', () => {
    const [alike] = Object.values(ROBOTS) as [Robot];
    const robot = { ...alike, errors: { ...alike.errors, wheelDifference: 0.03 } };
    // It stands on a line as it begins, which does not count.
    const route = routeOf(withIds(CHANGED), { ...start, xM: 1.54 });
    const sheet = buildingSheet(route, robot, table);
    const worlds = [table, { ...table, fields: [tile] }].map((on) => ({
      on,
      right: simulated(route, robot, table, on),
    }));
    const isFar = (typed: BuildingSheet) =>
      worlds.some(({ on, right }) => {
        try {
          const end = driveSheet(typed, robot, on, route.start);
          if (end === null) return true;
          const mm = 1000 * Math.hypot(end.xM - right.xM, end.yM - right.yM);
          const rad = Math.abs(wrap(end.headingRad - right.headingRad));
          return !(mm < 5 && rad < deg(0.5) && Math.abs(end.timeS - right.timeS) < 0.06);
        } catch {
          return true;
        }
      });
    expect(isFar(sheet)).toBe(false);
    // A band about a threshold keeps noise from counting twice, and this robot has none.
    const changed = changedSheets(sheet).filter(({ what }) => !what.includes('if WAS ON = 1:'));
    const every = Math.max(1, Math.round(changed.length / draws(changed.length)));
    const missed = changed
      .filter((_, i) => i % every === 0)
      .filter(({ sheets }) => !sheets.some(isFar));
    expect(missed.map(({ what }) => what)).toEqual([]);
  });
});
