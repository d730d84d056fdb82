import { describe, expect, it } from 'vitest';
import { compareRoutes } from '../../src/core/course/compare';
import { describeStep } from '../../src/core/course/describe';
import { planRoute } from '../../src/core/course/plan';
import { missionSchema } from '../../src/core/table/table';
import { newStep } from '../../src/core/steps/newStep';
import { describedFields, type AnyValue } from '../../src/core/description/description';
import type { Robot } from '../../src/core/robot/robot';
import { slotsOf } from '../../src/core/description/phrase';
import { descriptionOfStep, STEP_DESCRIPTIONS } from '../../src/core/steps/descriptions';
import { offerOf } from '../../src/core/steps/registry';
import { stepSchema, type Step } from '../../src/core/steps/step';
import { describeIssue } from '../../src/formats/issues';
import { holdsItsLimits } from '../support/describedValues';
import { bareTable, deg, idealRobot, routeOf, withDevice } from './support';

const beam = missionSchema.parse({
  id: 'beam',
  name: 'tilting beam',
  points: 20,
  pose: { xM: 2, yM: 0.8, headingRad: 0 },
  window: {},
});
const line = { x1M: 1.5, y1M: 0, x2M: 1.5, y2M: 1.2, widthM: 0.02 };
const table = { ...bareTable, missions: [beam], lines: [line] };
const robot = [
  { kind: 'distance sensor', place: { aheadM: 0.1 } },
  { kind: 'distance sensor', facingRad: Math.PI / 2 },
  { kind: 'attachment motor' },
  { kind: 'colour sensor' },
  { kind: 'light sensor', place: { aheadM: 0.05 } },
  { kind: 'light sensor', place: { aheadM: 0.05, leftM: 0.05 } },
].reduce((one: Robot, unit) => withDevice(one, unit), idealRobot);
const added = Object.values(STEP_DESCRIPTIONS).map(({ kind }) =>
  newStep(kind, 'a', { headingRad: 0, missionId: 'beam', turns: null, robot }),
);

/** Another value of a field: the next of a choice, a little more of a number. */
function other(field: AnyValue, value: unknown): unknown {
  if (field.is === 'number') return Number(value) + (field.whole === true ? 1 : deg(1));
  if (field.is === 'flag') return value !== true;
  if (field.is === 'part' && field.shape === 'colours') return { ...(value as object), blue: [] };
  if (field.is === 'part') return { ...(value as object), confirmations: 3 };
  if (field.is !== 'choice') return 'ramp';
  const names = Object.keys(field.options);
  return names[(names.indexOf(String(value)) + 1) % names.length];
}

/** A step with another value of each field, one at a time. */
const variantsOf = (step: Step): [string, Step][] =>
  Object.entries(describedFields(descriptionOfStep(step))).flatMap(([name, field]) => {
    const value: unknown = Reflect.get(step, name);
    return value === undefined ? [] : [[name, { ...step, [name]: other(field, value) } as Step]];
  });

/** The step with each choice that it leaves out made. */
const chosenOf = (step: Step): Step[] =>
  Object.entries(descriptionOfStep(step).optional).flatMap(([name, field]) =>
    (field.is === 'part'
      ? [{ reading: 'volts', is: 'below', value: 7, confirmations: 1 }]
      : field.is === 'choice'
        ? Object.keys(field.options)
        : field.is === 'flag'
          ? [true, false]
          : []
    ).map((value) => ({ ...step, [name]: value }) as Step),
  );

describe.each(added.map((step): [string, Step] => [step.kind, step]))('a step: %s', (_, step) => {
  it('can be saved as it is when it is added, and has nothing doubtful about it', () => {
    expect(stepSchema.parse(step)).toEqual(step);
    for (const planned of planRoute(routeOf([step]), robot, table)) {
      expect(planned.problems).toEqual([]);
      expect(planned.timeoutS).toBeGreaterThanOrEqual(planned.durationS);
    }
  });

  it('tells every change of its values in words and figures when versions are compared', () => {
    for (const [name, changed] of variantsOf(step)) {
      const [line] = compareRoutes(routeOf([step]), routeOf([changed]), [beam]);
      expect(line?.kind, name).toBe('changed');
      expect(line?.after, name).not.toBe(line?.before);
      if (/[A-Z]/.test(name)) expect(line?.after, name).not.toContain(name);
    }
  });

  it('has a slot for each of its values, and takes them up to their limits and no further', () => {
    const about = descriptionOfStep(step);
    const names = Object.keys(describedFields(about));
    // What is chosen decides what is said: of each variant its variants, too.
    const near = variantsOf(step).map(([, one]) => one);
    const variants = [...near, ...near.flatMap((one) => variantsOf(one).map(([, two]) => two))];
    const slots = [step, ...variants, ...chosenOf(step)].flatMap((one) =>
      slotsOf(about.phrase(one as never)),
    );
    expect(new Set(slots.map(({ slot }) => slot))).toEqual(new Set(names));
    holdsItsLimits(
      describedFields(about),
      (name, value) => stepSchema.safeParse({ ...step, [name]: value }).success,
    );
  });

  it('refuses what it does not have by its name', () => {
    const issue = stepSchema.safeParse({ ...step, flavour: 'mint' }).error?.issues[0];
    expect(issue && describeIssue(issue)).toBe('flavour: there is no such field');
  });

  it('says its number in the team’s units, with no unit of the core in it', () => {
    expect(describeStep(step, [beam])).not.toMatch(/NaN|undefined|rad\b/);
  });
});

it('a mission can only be worked on a table that has one', () => {
  const offered = (missions: (typeof beam)[], lines: (typeof line)[] = []) =>
    Object.values(STEP_DESCRIPTIONS)
      .filter((one) => offerOf(one).isOffered({ ...bareTable, missions, lines }))
      .map(({ label }) => label);
  const everywhere = offered([]);
  expect(everywhere).toEqual(
    expect.arrayContaining(['Drive', 'Turn', 'Arc', 'Wait', 'Part', 'Repeat']),
  );
  expect(offered([beam])).toEqual(expect.arrayContaining([...everywhere, 'Mission']));
  expect(offered([beam])).toHaveLength(everywhere.length + 1);
  const onLines = ['To a line', 'Square on a line', 'Follow a line'];
  expect(offered([], [line])).toEqual(expect.arrayContaining([...everywhere, ...onLines]));
  expect(offered([], [line])).toHaveLength(everywhere.length + onLines.length);
});

it('a turn that is repeated is told by its angle: to the same heading it would turn once', () => {
  const place = { headingRad: 0, missionId: '', turns: null, robot };
  expect(newStep('turn', 'a', place)).toMatchObject({ mode: 'to' });
  expect(newStep('turn', 'a', { ...place, isRepeated: true })).toMatchObject({ mode: 'by' });
});
