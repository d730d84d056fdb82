import { describe, expect, it } from 'vitest';
import { schoolRecords } from '../../src/core/gyro/rezero';
import { headingIsBuiltIn, headingOf } from '../../src/core/units/ofRobot';
import { BUILT_IN } from '../../src/core/units/port';
import { unitSchema } from '../../src/core/units/unit';
import { looksText, portSentence, wiringProblems } from '../../src/core/wiring';
import { pipit } from '../../src/server/demo/scenario';
import { deg } from './support';

describe('units on a robot', () => {
  it('may be built into the controller: no port is taken, none is wrong, and nothing is missing', () => {
    const builtIn = {
      ...pipit,
      units: pipit.units.map((unit) =>
        unit.kind === 'heading sensor' ? { ...unit, port: BUILT_IN } : unit,
      ),
    };
    expect(wiringProblems(builtIn)).toEqual([]);
    expect(headingOf(builtIn)).toEqual(headingOf(pipit));
    expect(headingIsBuiltIn(builtIn)).toBe(true);
    expect(headingIsBuiltIn(pipit)).toBe(false);
    const used = (robot: typeof pipit) => Number(/^\d+/.exec(portSentence(robot))?.[0]);
    expect(used(builtIn)).toBe(used(pipit) - 1);
    // A sensor without a cable is not to be unplugged.
    expect(schoolRecords([], true).map(({ facts }) => facts.school)).not.toContain('reconnect');
    expect(schoolRecords([], false)).toHaveLength(5);
  });

  it('are said to have one name in programs where they do, and which way they look', () => {
    const named = {
      ...pipit,
      units: pipit.units.map((unit) => ({ ...unit, programName: unit.port === 'A' ? '' : 'eye' })),
    };
    expect(wiringProblems(named)[0]).toMatch(/^Programs call .* by the same name, “eye”/);
    const [ahead, left] = [0, Math.PI / 2].map((facingRad) =>
      looksText(unitSchema.parse({ kind: 'distance sensor', id: 'd', label: 'D', facingRad })),
    );
    expect([ahead, left]).toEqual(['ahead', 'left']);
    const askew = { kind: 'distance sensor', id: 'd', label: 'D', facingRad: deg(-30) };
    expect(looksText(unitSchema.parse(askew))).toBe('30° to the right');
    expect(looksText(unitSchema.parse({ kind: 'heading sensor', id: 'h', label: 'H' }))).toBe('');
  });
});
