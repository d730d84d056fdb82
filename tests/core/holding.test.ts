import { describe, expect, it } from 'vitest';
import { calibrationValueSchema } from '../../src/core/calibration/calibration';
import { fittedRobot } from '../../src/core/calibration/fittedRobot';
import { calibrationOfUnit } from '../../src/core/calibration/ofUnit';
import { belongsTo, deviceFor } from '../../src/core/calibration/holding';
import { changedParts, staleSince } from '../../src/core/calibration/robotChanges';
import type { Robot } from '../../src/core/robot/robot';
import { deviceSchema } from '../../src/core/devices/device';
import { pipit } from '../../src/server/demo/scenario';
import { withoutDevices } from './support';

const OLD = '01K0000000000000000000000A';
const SPARE = '01K0000000000000000000000B';

/** The robot with such a heading sensor in place of its own. */
const sensing = (id: string): Robot => {
  const bare = withoutDevices(pipit, 'heading sensor');
  const unit = deviceSchema.parse({ id, kind: 'heading sensor', label: 'H1' });
  return { ...bare, units: [...bare.units, unit] };
};
const on = (id: string, robot: Robot) => ({ id, robot });
const day = (n: number) => new Date(Date.UTC(2026, 10, n));

describe('what was measured of a unit', () => {
  const drift = { robotId: 'first', unitId: OLD };

  it('holds where the unit is in use, and comes along to another robot', () => {
    expect(belongsTo(drift, 'gyro-drift', on('first', sensing(OLD)))).toBe(true);
    expect(belongsTo(drift, 'gyro-drift', on('second', sensing(OLD)))).toBe(true);
  });

  it('does not hold for the sensor that is in its place, nor without any', () => {
    expect(belongsTo(drift, 'gyro-drift', on('first', sensing(SPARE)))).toBe(false);
    const bare = withoutDevices(pipit, 'heading sensor');
    expect(belongsTo(drift, 'gyro-drift', on('first', bare))).toBe(false);
  });

  it('by ids that only tell units of one robot apart stays with that robot', () => {
    const plain = { robotId: 'first', unitId: 'heading sensor' };
    expect(belongsTo(plain, 'gyro-drift', on('first', sensing('heading sensor')))).toBe(true);
    expect(belongsTo(plain, 'gyro-drift', on('second', sensing('heading sensor')))).toBe(false);
  });

  it('of a distance sensor does not hold for the one that was swapped in', () => {
    const ranging = (id: string): Robot => {
      const bare = withoutDevices(pipit, 'distance sensor');
      const unit = deviceSchema.parse({ id, kind: 'distance sensor', label: 'D1' });
      return { ...bare, units: [...bare.units, unit] };
    };
    const range = { robotId: 'first', unitId: OLD };
    expect(belongsTo(range, 'range', on('first', ranging(OLD)))).toBe(true);
    expect(belongsTo(range, 'range', on('first', ranging(SPARE)))).toBe(false);
  });

  it('holds still when the sensor is put back; turns were of the whole robot and do not', () => {
    const swapped = changedParts(sensing(OLD), sensing(SPARE));
    expect(swapped).toEqual(['heading sensor in use', 'wiring']);
    const changes = swapped.map((part) => ({ part, changedAt: day(12) }));
    expect(staleSince('gyro-drift', { at: day(10), unitId: OLD }, changes)).toEqual([]);
    // Made before units were told apart: nobody knows whose it is.
    expect(staleSince('gyro-drift', { at: day(10), unitId: null }, changes)).toEqual([
      'heading sensor in use',
    ]);
    expect(staleSince('turns', { at: day(10), unitId: null }, changes)).toEqual([
      'heading sensor in use',
    ]);
  });
});

it('turns, track and wheels are the whole robot’s, whatever sensor it has', () => {
  expect(deviceFor(pipit, 'turns')).toBeNull();
  const turns = { robotId: 'first', unitId: null };
  expect(belongsTo(turns, 'turns', on('first', sensing(SPARE)))).toBe(true);
  expect(belongsTo(turns, 'drive', on('second', sensing(SPARE)))).toBe(false);
});

describe('two light sensors', () => {
  const seeing = (...ids: string[]): Robot => ({
    ...withoutDevices(pipit, 'light sensor'),
    units: [
      ...withoutDevices(pipit, 'light sensor').units,
      ...ids.map((id) => deviceSchema.parse({ id, kind: 'light sensor', label: id, port: id })),
    ],
  });
  const threshold = (lineReads: number) =>
    calibrationValueSchema.parse({
      kind: 'light-threshold',
      venue: '',
      lighting: '',
      full: 100,
      lineIs: 'darker',
      threshold: 40,
      enter: 38,
      leave: 42,
      lineReads,
      lineSd: 1,
      floorReads: 70,
      floorSd: 1,
      readingSd: 1,
      step: 1,
      errorRate: 0,
      errorHigh95: 0.001,
      heightM: null,
      n: 20,
    });

  it('each hold a threshold of their own, and each is computed with by its own', () => {
    const robot = seeing(OLD, SPARE);
    const [own, other] = [threshold(10), { ...threshold(25), unitId: SPARE }];
    const shares = fittedRobot(robot, [own, other]).robot.units.flatMap((unit) =>
      unit.kind === 'light sensor' ? [unit.behaviour.lineShare] : [],
    );
    expect(shares).toEqual([0.1, 0.25]);
    expect(calibrationOfUnit([own, other], 'light-threshold', robot, OLD)).toBe(own);
    expect(calibrationOfUnit([own, other], 'light-threshold', robot, SPARE)).toBe(other);
    // Nothing holds for the first: what the other reads is not taken for it.
    expect(calibrationOfUnit([other], 'light-threshold', robot, OLD)).toBeNull();
    const line = { robotId: 'first', unitId: SPARE };
    expect(belongsTo(line, 'light-threshold', on('first', robot))).toBe(false);
    expect(belongsTo(line, 'light-threshold', on('first', robot), SPARE)).toBe(true);
  });
});
