import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { planRoute } from '../../src/core/course/plan';
import { prepare } from '../../src/core/forecast/prepare';
import { simulateRun } from '../../src/core/forecast/run';
import type { Step } from '../../src/core/steps/descriptions';
import { newStep } from '../../src/core/steps/newStep';
import { stepSchema } from '../../src/core/steps/step';
import { readingOfLooks } from '../../src/core/steps/teaching/readingOfLooks';
import {
  headingLogged,
  readingShown,
  shownOf,
  taughtStep,
} from '../../src/core/steps/teaching/teach';
import { taughtBy } from '../../src/core/steps/teaching/taughtBy';
import { robot as exact } from './motionsDrawn';
import { bareTable, deg, routeOf, withDevice } from './support';

const lagging = { ...exact, motors: { ...exact.motors, lagS: 0.05 } };
const robot = withDevice(lagging, { kind: 'attachment motor', label: 'arm' });
const stepOf = (fields: object): Step => stepSchema.parse({ id: 'a', ...fields });
const teachings = (fields: object, zeroRad = 0) =>
  taughtBy(stepOf(fields), robot).map((taught) => ({ taught, robot, zeroRad }));

describe('a step that is taught by placing the robot', () => {
  it('stops there: an approach is told earlier by what it drives on', () => {
    // With its eye 0.1 m ahead of the axle, it stands before the border at 4 m.
    fc.assert(
      fc.property(
        fc.integer({ min: 10, max: 60 }),
        fc.integer({ min: 8, max: 30 }),
        (cm, cmPerS) => {
          const placedXM = 4 - 0.1 - cm / 100;
          const fields = {
            kind: 'approach',
            sensor: 'D-ahead',
            thresholdM: 0.2,
            speedMPerS: cmPerS / 100,
          };
          const [one] = teachings(fields);
          const taught = one && taughtStep(one, cm / 100);
          expect(taught).toMatchObject({ kind: 'approach' });
          const route = routeOf([taught], { xM: placedXM - 0.8, yM: 1.5, headingRad: 0 });
          const simulation = {
            ...{ robot, table: bareTable, seed: 3 },
            route: { ...route, placement: { alongSdM: 0, acrossSdM: 0, headingSdRad: 0 } },
          };
          const [planned] = planRoute(route, robot, bareTable);
          const { end } = simulateRun(simulation, prepare(simulation), 0);
          expect(Math.abs((planned?.to.xM ?? 0) - placedXM)).toBeLessThan(0.0015);
          // Within what it drives from one look of its sensor to the next.
          expect(Math.abs(end.xM - placedXM)).toBeLessThan(0.003 + (0.03 * cmPerS) / 100);
        },
      ),
      { numRuns: 30 },
    );
  });

  it.each([
    [{ kind: 'follow-line', sensor: 'left' }, 0.42, { target: 0.42 }],
    [{ kind: 'follow-wall', side: 'left' }, 0.135, { keepM: 0.135 }],
    [
      { kind: 'attachment', unit: 'arm', position: 'up', share: 0.4 },
      90,
      { angleRad: deg(90), share: 0.4 },
    ],
    [{ kind: 'turn', mode: 'to', angleRad: 0 }, deg(270), { angleRad: deg(-90) }],
    [
      { kind: 'wait', until: { reading: { motor: 'arm' }, is: 'above', value: 1 } },
      30,
      { until: { reading: { motor: 'arm' }, is: 'above', value: deg(30), confirmations: 1 } },
    ],
  ])('takes what is read: %j at %d', (fields, reading, holds) => {
    const [one] = teachings(fields);
    const taught = one && taughtStep(one, reading);
    expect(taught).toEqual({ ...stepOf(fields), position: undefined, ...holds });
  });

  it('takes each of several conditions by itself, and none that is on or off or a change', () => {
    const light = { reading: { unit: 'left', channel: 'light' }, is: 'below', value: 0.1 };
    const far = { reading: { unit: 'D-left', channel: 'distance' }, is: 'above', value: 0.3 };
    const pressed = { reading: { unit: 'bumper', channel: 'touch' }, is: 'above', value: 0.5 };
    const still = { reading: 'heading', is: 'still', value: 0.1 };
    const until = { any: [light, { all: [pressed, far] }, still] };
    const all = teachings({ kind: 'straight', distanceM: 1, until });
    expect(all.map(({ taught: { of } }) => of !== 'heading' && of.unit.label)).toEqual([
      'left',
      'D-left',
    ]);
    const taught = all[1] && taughtStep(all[1], 0.27);
    const found = JSON.stringify(taught);
    expect(found).toContain('"value":0.27');
    expect(found).toContain('"value":0.1');
    // A question of an owner is taught, too.
    const decide = { kind: 'decide', if: light, then: [], else: [], usual: 'then' };
    const [asked] = teachings(decide);
    expect(asked && taughtStep(asked, 0.33)).toMatchObject({ if: { value: 0.33 } });
  });

  it('says so where a step cannot have what was read', () => {
    const [one] = teachings({ kind: 'approach', sensor: 'D-ahead', thresholdM: 0.2 });
    expect(one && taughtStep(one, 7)).toMatch(/^A step cannot have 700 cm here\. Place the robot/);
  });
});

it('what its small screen shows and what the core reads are the same, for every kind that can be taught', () => {
  const own = {
    ...robot,
    signs: { ...robot.signs, heading: -1 as const },
    program: { ...robot.program, headingScale: 0.98 },
    units: robot.units.map((unit) =>
      unit.kind === 'light sensor'
        ? { ...unit, raw: { reading: 'counts' as const, max: 1023, grows: false } }
        : unit,
    ),
  };
  const kinds = ['approach', 'follow-line', 'follow-wall', 'attachment', 'turn'] as const;
  const placed = { headingRad: 0, missionId: 'm', turns: null, robot: own };
  const all = kinds.flatMap((kind) => taughtBy(newStep(kind, 'a', placed), own));
  expect(all.length).toBe(kinds.length);
  for (const taught of all) {
    const teaching = { taught, robot: own, zeroRad: 0.4 };
    for (const reading of [0.05, 0.3, 0.9]) {
      const { value } = shownOf(teaching, reading);
      expect(readingShown(teaching, value)).toBeCloseTo(reading, 9);
    }
  }
  // Its gyro counts down to the left: −0.98 of a turn of 90°, from where it was zeroed.
  const [, , , , turn] = all;
  const heading = turn && { taught: turn, robot: own, zeroRad: deg(10) };
  expect(heading && headingLogged(heading, deg(-88.2))).toBeCloseTo(deg(100), 6);
  expect(readingOfLooks([12.2, null, 12.6, 30], 100)).toBeCloseTo(0.126, 9);
  expect(readingOfLooks([null, null, 12], 100)).toBeNull();
});
