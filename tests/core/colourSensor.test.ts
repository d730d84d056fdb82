import { describe, expect, it } from 'vitest';
import { channelLabel } from '../../src/core/channels/key';
import { describeStep } from '../../src/core/course/describe';
import { planRoute } from '../../src/core/course/plan';
import { tableSchema } from '../../src/core/table/table';
import { createMachine } from '../../src/core/machine/machine';
import { prepare } from '../../src/core/forecast/prepare';
import { simulateRun } from '../../src/core/forecast/run';
import { act } from '../../src/core/standIn/act';
import { readingsBetween } from '../../src/core/standIn/readings';
import { newStandIn } from '../../src/core/standIn/state';
import { standInTruth } from '../../src/core/standIn/truth';
import { columnsOfDevices } from '../../src/core/devices/columns';
import { parseJsonLines } from '../../src/formats/jsonLines';
import { toReading } from '../../src/formats/readings';
import { toLog } from '../../src/formats/toLog';
import { idealRobot, routeOf, withDevice } from './support';

const unit = (more: object = {}, id = 'c1') => ({
  kind: 'colour sensor',
  id,
  label: id,
  place: { aheadM: 0.05 },
  behaviour: { noiseShare: 0, whiteShare: 0.9, blackShare: 0.1, ...more },
});
const robot = withDevice(idealRobot, unit());
const table = tableSchema.parse({
  widthM: 3,
  heightM: 2,
  fields: [{ x1M: 1, y1M: 0.5, x2M: 2, y2M: 1.5, colour: '#ff0000' }],
});
const reads = (who: typeof robot, xM: number, channel: string) =>
  createMachine(who, table, { xM, yM: 1, headingRad: 0 }, 1, 0).read({ unitId: 'c1', channel });

describe('a colour sensor', () => {
  it('reads each band between what it reads over black and over white, and clear where it has that', () => {
    expect(['red', 'green', 'blue'].map((channel) => reads(robot, 1.5, channel))).toEqual([
      0.9, 0.1, 0.1,
    ]);
    expect(reads(robot, 0.5, 'green')).toBeCloseTo(0.9, 9);
    // Half of its spot over the edge: halfway between white and red, in green.
    expect(reads(robot, 0.95, 'green')).toBeCloseTo(0.5, 1);
    expect(reads(robot, 1.5, 'clear')).toBeNull();
    expect(reads(withDevice(idealRobot, unit({ hasClear: true })), 1.5, 'clear')).toBeCloseTo(
      0.1 + 0.8 / 3,
      9,
    );
  });

  it('ends a wait where its band passes a value: planned, simulated and said', () => {
    const wait = (sensor: string, value: number) => ({
      kind: 'wait',
      until: 'reading',
      sensor,
      passes: 'below',
      value,
      timeS: 3,
    });
    const planned = (sensor: string) =>
      planRoute(routeOf([wait(sensor, 0.4)], { xM: 1.5, yM: 1, headingRad: 0 }), robot, table)[0];
    const green = planned('colour sensor: green');
    expect(green).toMatchObject({ problems: [], durationS: 0 });
    expect(green && describeStep(green.step, []).replaceAll('\u00a0', ' ')).toMatch(
      /^Wait until the green reads 40 % or less, for 3 s at most$/,
    );
    expect(planned('colour sensor: red')?.problems).toEqual(['waits-all-the-time']);
    expect(planned('colour sensor: clear')?.problems).toEqual(['no-such-sensor']);
    const runS = (sensor: string) => {
      const route = routeOf([wait(sensor, 0.4)], { xM: 1.5, yM: 1, headingRad: 0 });
      const simulation = { robot, table, route, seed: 3 };
      return simulateRun(simulation, prepare(simulation), 0).end.timeS;
    };
    expect(runS('colour sensor: green')).toBeLessThan(0.5);
    expect(runS('colour sensor: red')).toBeCloseTo(3, 0);
  });

  it('is read live over a card, and from the file that this makes, each channel by its name', () => {
    const two = withDevice(withDevice(robot, unit({}, 'c2')), unit({ hasClear: true }, 'c3'));
    expect(columnsOfDevices(robot).map(({ title }) => title)).toEqual(
      ['red', 'green', 'blue'].map((band) => `colour_${band}_share`),
    );
    expect(columnsOfDevices(two).map(({ title }) => title)).toContain('c3_clear_share');
    const seeing = withDevice(robot, { kind: 'light sensor' });
    const truth = standInTruth(seeing, 7);
    const actions = [
      { do: 'set-clock', rate: 0 },
      { do: 'power-on', inHand: false },
      { do: 'lay-card', colour: '#0000ff' },
      { do: 'advance', durationS: 6 },
    ] as const;
    const state = actions.reduce(
      (now, one) => act(now, truth, one, 0),
      newStandIn('R', seeing, 7, 0),
    );
    const lines = readingsBetween(truth, state, 4.5, 6).map((one) =>
      JSON.stringify(toReading(one)),
    );
    const raw = {
      signs: { heading: 1, leftMotor: 1, rightMotor: 1 },
      encodersRollOver: false,
    } as const;
    const { columns } = toLog(
      parseJsonLines(lines.join('\n'), () => undefined),
      raw,
    );
    const white = truth.robot.units.find(({ kind }) => kind === 'colour sensor')?.behaviour;
    expect(columns['colour:colour_blue']?.[3]).toBeCloseTo(
      (white as { whiteShare: number }).whiteShare,
      2,
    );
    expect(columns['colour:colour_red']?.[3]).toBeCloseTo(0.1, 2);
    // Blue is 7 % as light as the white floor: the light sensor reads nearly what it does over a line.
    expect(columns['light:light']?.[3]).toBeLessThan(0.22);
    expect(channelLabel('colour:colour_blue')).toBe('Colour blue');
  });
});
