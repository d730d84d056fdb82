import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { missionSchema, tableSchema } from '../../src/core/table/table';
import { differingValues, withTheirs } from '../../src/formats/differences';
import { fieldName, fieldValue } from '../../src/formats/fieldWords';
import { pipit } from '../../src/server/demo/scenario';

describe('what differs between two records', () => {
  it('is told value by value, lists of unlike length as a whole', () => {
    expect(differingValues({ a: 1, b: { c: [1, 2] } }, { a: 1, b: { c: [1, 3] } })).toEqual([
      { path: 'b.c.1', mine: 2, theirs: 3 },
    ]);
    expect(differingValues({ c: [1, 2] }, { c: [1] })).toEqual([
      { path: 'c', mine: [1, 2], theirs: [1] },
    ]);
  });

  it('taken all from theirs gives theirs, none gives mine', () => {
    const value = fc.object({
      key: fc.constantFrom('a', 'b', 'c', 'd'),
      maxDepth: 3,
      values: [fc.integer(), fc.string(), fc.constant(null)],
    });
    fc.assert(
      fc.property(value, value, (mine, theirs) => {
        const differences = differingValues(mine, theirs);
        const all = new Set(differences.map(({ path }) => path));
        fc.pre(!all.has(''));
        expect(withTheirs(mine, differences, new Set())).toEqual(mine);
        expect(withTheirs(mine, differences, all)).toEqual(theirs);
      }),
      { numRuns: 200 },
    );
  });

  it('is named as the screens name it, with its unit', () => {
    const robot = { robot: pipit };
    const say = (path: string, value: unknown, record: unknown = robot) =>
      `${fieldName(path, record)}: ${fieldValue(path, value, record)}`;
    expect(say('robot.body.frontM', 0.115)).toBe('body, to the front: 115 mm');
    expect(say('robot.wheelDiameterM', 0.0562)).toBe('wheel diameter: 56.2 mm');
    expect(say('robot.units.2.behaviour.driftRadPerS', 0.0017453)).toBe('unit H1, drift: 0.1 °/s');
    expect(say('robot.errors.wheelDifference', 0.012)).toBe(
      'assumed to be wrong, right wheel larger by: 1.2 %',
    );
    expect(say('robot.signs.leftMotor', -1)).toBe(
      'direction, left motor, rolling forward: shrinks',
    );
    const mission = missionSchema.parse({
      id: 'm',
      name: 'sundial',
      pose: { xM: 1, yM: 1, headingRad: 0 },
    });
    const course = { table: tableSchema.parse({ widthM: 2, heightM: 1, missions: [mission] }) };
    expect(say('table.missions.0.pose.headingRad', Math.PI / 2, course)).toBe(
      'mission sundial, looking to: 90°',
    );
    expect(say('table.missions', [mission], course)).toBe('mission: 1: sundial');
    expect(say('endXM', null, { endXM: 1 })).toBe('end x (to the right): nothing');
  });
});
