import { describe, expect, it } from 'vitest';
import { routeSchema } from '../../src/core/course/route';
import { robotSchema } from '../../src/core/robot/robot';
import { numbered } from '../../src/core/steps/tree';
import { headingOf, lookingAhead } from '../../src/core/devices/ofRobot';

const SIZES = { wheelDiameterM: 0.056, trackM: 0.11 };
const START = { xM: 0.2, yM: 0.2, headingRad: 0 };
const DRIVE = { kind: 'straight', distanceM: 0.4 };

describe('a robot that an earlier Corvat kept', () => {
  it('has its sensors in one list', () => {
    const before = {
      ...SIZES,
      gyro: { scaleError: 0.01 },
      distance: { aheadM: 0.12, offsetM: 0.004 },
    };
    const after = robotSchema.parse(before);
    expect(headingOf(after)?.scaleError).toBe(0.01);
    expect(lookingAhead(after)).toMatchObject({
      place: { aheadM: 0.12 },
      behaviour: { offsetM: 0.004 },
    });
  });

  it('has the gain that was tuned by the name of its controller', () => {
    const before = { ...SIZES, units: [], measured: { headingGainMPerSPerRad: 1.7 } };
    expect(robotSchema.parse(before).measured.gains).toEqual({ 'heading-hold': 1.7 });
    const untuned = { ...SIZES, units: [], measured: { headingGainMPerSPerRad: null } };
    expect(robotSchema.parse(untuned).measured.gains).toEqual({});
  });

  it('goes no way twice: what names its form is as it was', () => {
    const today = robotSchema.parse({ ...SIZES, units: [] });
    expect(today.format).toBe('gains by controller');
    expect(robotSchema.parse(today)).toEqual(today);
    const between = {
      ...SIZES,
      units: [],
      format: 'units in one list',
      measured: { headingGainMPerSPerRad: 2 },
    };
    expect(robotSchema.parse(between)).toEqual({
      ...today,
      measured: { ...today.measured, gains: { 'heading-hold': 2 } },
    });
  });
});

describe('a route that an earlier Corvat kept', () => {
  it('has an id for each of its steps, and keeps those that it had', () => {
    const before = { start: START, steps: [DRIVE, { ...DRIVE, id: 'step-1' }, DRIVE] };
    const after = routeSchema.parse(before);
    expect(after.steps[1]?.id).toBe('step-1');
    expect(new Set(after.steps.map(({ id }) => id)).size).toBe(3);
    // The same again: two readings of one record never differ.
    expect(routeSchema.parse(before)).toEqual(after);
    expect(routeSchema.parse(after)).toEqual(after);
  });

  it('has ids for steps within others, too, written by hand without any', () => {
    const part = { kind: 'part', name: 'corner', steps: [DRIVE, DRIVE] };
    const { steps } = routeSchema.parse({ start: START, steps: [DRIVE, part, part] });
    const ids = numbered(steps).map(({ step }) => step.id);
    expect(ids).toHaveLength(7);
    expect(new Set(ids).size).toBe(7);
  });

  it('waits for what it waited for when each value had a field of its own', () => {
    const before = [
      { kind: 'wait', timeS: 2 },
      { kind: 'wait', until: 'reading', sensor: 'colour sensor: red', passes: 'above', value: 0.4 },
      { kind: 'wait', until: 'reading', sensor: 'touch sensor', passes: 'below', timeS: 3 },
    ].map((step, i) => ({ ...step, id: `w${i}` }));
    const part = { kind: 'part', name: 'waits', id: 'p', steps: before };
    const { steps } = routeSchema.parse({ start: START, steps: [part], format: 'steps with ids' });
    const until = (unit: string, channel: string, is: string, value: number) => ({
      reading: { unit, channel },
      is,
      value,
      confirmations: 1,
    });
    expect(steps).toMatchObject([
      {
        steps: [
          { id: 'w0', seconds: 2 },
          { seconds: 1, until: until('colour sensor', 'red', 'above', 0.4) },
          { seconds: 3, until: until('touch sensor', 'touch', 'below', 0.5) },
        ],
      },
    ]);
    const today = { kind: 'wait', id: 'w', seconds: 2, until: until('L1', 'light', 'below', 0.2) };
    expect(routeSchema.parse({ start: START, steps: [today] }).steps).toEqual([today]);
  });

  it('that is nested without end is refused, and breaks nothing', () => {
    let deep: object = DRIVE;
    for (let i = 0; i < 3000; i += 1) deep = { kind: 'part', name: 'in', steps: [deep] };
    expect(() => routeSchema.parse({ start: START, steps: [deep] })).toThrow('4 levels');
  });

  it('has no two steps of one id', () => {
    const twins = {
      start: START,
      steps: [
        { ...DRIVE, id: 'a' },
        { ...DRIVE, id: 'a' },
      ],
    };
    expect(new Set(routeSchema.parse(twins).steps.map(({ id }) => id)).size).toBe(2);
    const today = { ...twins, format: 'steps with ids' };
    expect(() => routeSchema.parse(today)).toThrow('expected a different id for each step');
  });
});

it.each([
  ['robot', robotSchema, { ...SIZES, units: [], format: 'wings' }],
  ['route', routeSchema, { start: START, steps: [], format: 'wings' }],
])('a %s of a later Corvat is refused with what to do', (what, schema, record) => {
  expect(() => schema.parse(record)).toThrow(`this ${what} was kept by a later Corvat: update`);
});

it.each([
  ['a robot', robotSchema, { ...SIZES, units: [], wings: 2 }],
  ['its body', robotSchema, { ...SIZES, units: [], body: { wings: 2 } }],
  ['what was measured of it', robotSchema, { ...SIZES, units: [], measured: { wings: 2 } }],
  ['a route', routeSchema, { start: START, steps: [], wings: 2 }],
])('an unknown field of %s is refused by its name', (_what, schema, record) => {
  expect(() => schema.parse(record)).toThrow('wings');
});
