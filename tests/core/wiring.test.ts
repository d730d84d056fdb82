import { describe, expect, it } from 'vitest';
import { strategyRecords } from '../../src/core/gyro/rezero';
import { headingIsBuiltIn, headingOf } from '../../src/core/devices/ofRobot';
import { BUILT_IN } from '../../src/core/devices/portClasses';
import { deviceSchema } from '../../src/core/devices/device';
import { looksText, portSentence, wiringProblems } from '../../src/core/course/wiring';
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
    expect(strategyRecords([], builtIn).map(({ facts }) => facts.school)).not.toContain(
      'reconnect',
    );
    expect(strategyRecords([], pipit)).toHaveLength(5);
  });

  it('are said to have one name in programs where they do, and which way they look', () => {
    const named = {
      ...pipit,
      units: pipit.units.map((unit) => ({ ...unit, programName: unit.port === 'A' ? '' : 'eye' })),
    };
    expect(wiringProblems(named)[0]).toMatch(/^Programs call .* by the same name, “eye”/);
    const [ahead, left] = [0, Math.PI / 2].map((facingRad) =>
      looksText(deviceSchema.parse({ kind: 'distance sensor', id: 'd', label: 'D', facingRad })),
    );
    expect([ahead, left]).toEqual(['ahead', 'left']);
    const askew = { kind: 'distance sensor', id: 'd', label: 'D', facingRad: deg(-30) };
    expect(looksText(deviceSchema.parse(askew))).toBe('30° to the right');
    expect(looksText(deviceSchema.parse({ kind: 'heading sensor', id: 'h', label: 'H' }))).toBe('');
  });
});

describe('devices on a bus', () => {
  const onBus = (...addresses: string[]) => ({
    ...pipit,
    build: {
      ...pipit.build,
      ports: [...pipit.build.ports, { name: 'bus 1', takes: ['bus' as const] }],
    },
    units: [
      ...pipit.units,
      ...addresses.map((address, i) =>
        deviceSchema.parse({
          kind: 'distance sensor',
          id: `bus-${i}`,
          label: `D${i + 7}`,
          port: 'bus 1',
          connection: 'bus',
          address,
        }),
      ),
    ],
  });

  it('share a port under addresses of their own, and are found where they have the same', () => {
    expect(wiringProblems(onBus('0x29', '0x30'))).toEqual([]);
    expect(portSentence(onBus('0x29', '0x30'))).not.toContain('twice');
    // However it is written.
    const [problem] = wiringProblems(onBus('0x29', '29h'));
    expect(problem).toMatch(/^D7 and D8 have the same address, 0x29, on bus bus 1/);
  });

  it('may not share one where nobody noted an address', () => {
    expect(portSentence(onBus('', ''))).toContain('used twice');
  });
});
