import { expect, it } from 'vitest';
import { startReadings, startReadingText } from '../../src/core/course/startReadings';
import { createMachine } from '../../src/core/machine/machine';
import { rawReading } from '../../src/core/program/rawReading';
import { toTable } from '../../src/core/geometry/pose';
import { randomStream } from '../../src/core/stats/random';
import { bareTable, idealRobot, routeOf, withDevice } from './support';

const robot = [
  {
    kind: 'distance sensor',
    label: 'D1',
    port: '4',
    place: { aheadM: 0.1 },
    behaviour: { noiseM: 0.004, quantumM: 0, lostEchoShare: 0, beamHalfAngleRad: 0.02 },
  },
  {
    kind: 'light sensor',
    label: 'L1',
    programName: 'floor eye',
    port: '2',
    place: { aheadM: 0.05 },
    behaviour: { noiseShare: 0.01, floorShare: 0.62, lineShare: 0.12, spotDiameterM: 0.01 },
  },
].reduce((one, unit) => withDevice(one, unit), idealRobot);
const placement = { alongSdM: 0.006, acrossSdM: 0.004, headingSdRad: 0.02 };
const route = { ...routeOf([], { xM: 3, yM: 1, headingRad: 0.4 }), placement };

it('says in the robot’s own numbers what its sensors show at the start, and by whose names', () => {
  const [ahead, down] = startReadings(route, robot, bareTable).map(startReadingText);
  // To the border at 4 m: 1 m less what it is ahead, along its heading.
  const gapCm = 100 * ((1 - 0.1 * Math.cos(0.4)) / Math.cos(0.38));
  const [, shown = ''] = /^D1 on port 4 shows ([\d.]+) cm \(/.exec(ahead ?? '') ?? [];
  expect(Number(shown)).toBeCloseTo(gapCm, 0);
  expect(down).toMatch(/^floor eye on port 2 shows 62 % \(60 to 64\)$/);
  const blind = { ...robot, units: robot.units.map((unit) => ({ ...unit, port: null })) };
  expect(startReadings(route, blind, bareTable)).toEqual([]);
});

it('19 of 20 readings of a robot that is placed as it scatters lie in the band, next to a line as well', () => {
  const lines = [{ x1M: 3.052, y1M: 0.5, x2M: 3.052, y2M: 1.6, widthM: 0.02 }];
  const table = { ...bareTable, lines };
  const bands = startReadings(route, robot, table);
  const inside = bands.map(() => 0);
  const runs = 600;
  for (let i = 0; i < runs; i += 1) {
    const random = randomStream(31, i, 'hands');
    const by = [placement.alongSdM, placement.acrossSdM].map((sd) => sd * random.normal());
    const at = toTable(route.start, { xM: by[0] ?? 0, yM: by[1] ?? 0 });
    const headingRad = route.start.headingRad + placement.headingSdRad * random.normal();
    const machine = createMachine(robot, table, { ...at, headingRad }, 5, i);
    bands.forEach(({ unit, shows }, k) => {
      const channel = unit.kind === 'light sensor' ? 'light' : 'distance';
      const reading = machine.readings.reading({ unitId: unit.id, channel });
      if (reading === null || shows === null) return;
      const { value } = rawReading(unit, channel, reading, robot);
      if (value >= shows.low.value && value <= shows.high.value) inside[k] = (inside[k] ?? 0) + 1;
    });
  }
  for (const n of inside) expect(n / runs).toBeGreaterThan(0.9);
  expect((inside[0] ?? 0) / runs).toBeLessThan(0.985);
});
