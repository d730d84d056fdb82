import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { robotSchema } from '../../src/core/robot/robot';
import { tableSchema } from '../../src/core/table/table';
import { createMachine } from '../../src/core/machine/machine';
import { darknessUnder } from '../../src/core/sensing/light';
import { simulateRange } from '../../src/core/forecast/simulateRange';
import { readingsBetween } from '../../src/core/standIn/readings';
import { act } from '../../src/core/standIn/act';
import { devicesNow } from '../../src/core/standIn/devicesNow';
import { newStandIn } from '../../src/core/standIn/state';
import { standInTruth } from '../../src/core/standIn/truth';
import { columnsOfDevices } from '../../src/core/devices/columns';
import { asKind, newDevice } from '../../src/core/devices/newDevice';
import { headingOf, lookingAhead, devicesOf } from '../../src/core/devices/ofRobot';
import { KINDS } from '../../src/core/devices/registry';
import { pipit, ROUTE_VERSIONS } from '../../src/server/demo/scenario';
import { routeNeeds, wiringProblems } from '../../src/core/course/wiring';
import { bareTable, deg, idealRobot, routeOf, withoutDevices, withDevice } from './support';

const exact = { noiseM: 0, quantumM: 0, lostEchoShare: 0, beamHalfAngleRad: 0 };
const start = { xM: 1, yM: 1, headingRad: 0 };

describe('a record of an earlier Corvat', () => {
  const old = {
    wheelDiameterM: 0.056,
    trackM: 0.13,
    gyro: { scaleError: 0.01, quantumRad: deg(1) },
    distance: { aheadM: 0.09, leftM: -0.02, offsetM: 0.004 },
    build: {
      ports: ['A', 'B', 'S1'],
      battery: 'B7',
      units: [
        { id: 'a', role: 'left motor', label: 'M1', port: 'A' },
        {
          id: 'b',
          role: 'distance sensor',
          label: 'D2',
          port: 'S1',
          heightM: 0.05,
          mounting: 'bow',
        },
        { id: 'c', role: 'light sensor', label: 'L9', port: '' },
      ],
    },
  };

  it('has all that it had in its list of units, each with its id, label and port', () => {
    const robot = robotSchema.parse(old);
    expect(lookingAhead(robot)).toMatchObject({
      id: 'b',
      label: 'D2',
      port: 'S1',
      mounting: 'bow',
      place: { aheadM: 0.09, leftM: -0.02, heightM: 0.05 },
      behaviour: { offsetM: 0.004, scale: 1 },
    });
    expect(headingOf(robot)).toMatchObject({ scaleError: 0.01, quantumRad: deg(1) });
    expect(robot.units.map(({ kind }) => kind).toSorted()).toEqual([
      'distance sensor',
      'heading sensor',
      'left motor',
      'light sensor',
      'right motor',
    ]);
    // Noted to be in no port, while others were: it is not plugged in.
    expect(devicesOf(robot, 'light sensor')).toEqual([]);
    expect(robot.build).toMatchObject({
      battery: 'B7',
      ports: [{ name: 'A' }, { name: 'B' }, { name: 'S1' }],
    });
    // Brought forward once, it stays as it is.
    expect(robotSchema.parse(robot)).toEqual(robot);
  });

  it('is refused at the value that does not fit, and never with an accident', () => {
    fc.assert(
      fc.property(fc.anything(), fc.anything(), fc.anything(), (gyro, units, ports) => {
        const tried = robotSchema.safeParse({ ...old, gyro, build: { units, ports } });
        expect(typeof tried.success).toBe('boolean');
      }),
    );
    const wrong = robotSchema.safeParse({ ...old, gyro: { scaleError: 3 } });
    expect(wrong.error?.issues[0]?.path.at(-1)).toBe('scaleError');
  });
});

describe('the units of a robot', () => {
  it('are of every kind, labelled by the next free number, and can become another kind', () => {
    for (const { kind } of KINDS) {
      const unit = newDevice('x', kind, []);
      expect(unit.kind).toBe(kind);
      const next = newDevice('y', kind, [unit]);
      expect(next.label).not.toBe(unit.label);
      expect(asKind({ ...unit, port: 'B' }, 'touch sensor')).toMatchObject({
        kind: 'touch sensor',
        id: 'x',
        port: 'B',
        behaviour: { reachM: 0.003 },
      });
    }
  });

  it('are said to be in the wrong port: one that is not there, one that takes something else', () => {
    const build = {
      ...pipit.build,
      ports: pipit.build.ports
        .filter(({ name }) => name !== 'E')
        .map((port) => (port.name === 'D' ? { ...port, takes: ['motor' as const] } : port)),
    };
    expect(wiringProblems(pipit)).toEqual([]);
    expect(wiringProblems({ ...pipit, build })).toEqual([
      'D3 (sensor) is on port D, which takes motor.',
      'L1 is on port E: the controller has no such port.',
    ]);
  });

  it('stand in a log under a name of their own, however they are labelled', () => {
    const two = withDevice(pipit, { kind: 'distance sensor', label: 'D3' });
    expect(columnsOfDevices(pipit).map(({ title }) => title)).toEqual([
      'distance_cm',
      'light_percent',
    ]);
    expect(columnsOfDevices(two).map(({ title }) => title)).toEqual([
      'D3_cm',
      'D3_2_cm',
      'light_percent',
    ]);
  });

  it('are all read by the simulated machine from where they sit', () => {
    const table = tableSchema.parse({
      widthM: 4,
      heightM: 3,
      lines: [{ x1M: 1, y1M: 0.5, x2M: 1, y2M: 2.5, widthM: 0.04 }],
    });
    const behaviour = { noiseShare: 0 };
    let robot = withDevice(idealRobot, {
      kind: 'distance sensor',
      id: 'left',
      place: { leftM: 0.05 },
      facingRad: deg(90),
      behaviour: exact,
    });
    robot = withDevice(robot, { kind: 'light sensor', id: 'on', behaviour });
    robot = withDevice(robot, {
      kind: 'light sensor',
      id: 'off',
      place: { aheadM: 0.1 },
      behaviour,
    });
    robot = withDevice(robot, { kind: 'touch sensor', id: 'bumper', place: { aheadM: 0.11 } });
    robot = withDevice(robot, { kind: 'attachment motor', id: 'arm' });
    robot = withDevice(robot, { kind: 'touch sensor', id: 'loose', port: null });
    const there = createMachine(robot, table, start, 1, 0);
    // The wall on the left is at 3 m.
    expect(there.read({ unitId: 'left', channel: 'distance' })).toBeCloseTo(3 - 1 - 0.05, 9);
    expect(there.read({ unitId: 'on', channel: 'light' })).toBeCloseTo(0.12, 9);
    expect(there.read({ unitId: 'off', channel: 'light' })).toBeCloseTo(0.6, 9);
    expect(there.read({ unitId: 'arm', channel: 'angle' })).toBe(0);
    expect(there.read({ unitId: 'bumper', channel: 'touch' })).toBe(0);
    const atWall = createMachine(robot, table, { ...start, xM: 4 - 0.112 }, 1, 0);
    expect(atWall.read({ unitId: 'bumper', channel: 'touch' })).toBe(1);
    expect([
      atWall.read({ unitId: 'loose', channel: 'touch' }),
      atWall.read({ unitId: 'none', channel: 'touch' }),
    ]).toEqual([null, null]);
  });

  it('see as much of a line as lies in the spot: the share of a circle beyond a chord', () => {
    fc.assert(
      fc.property(fc.double({ min: -1, max: 1, noNaN: true }), (u) => {
        const radius = 0.006;
        const line = { x1M: -1, y1M: 0.5, x2M: 1, y2M: 0.5, widthM: 1 };
        // The edge of the line runs along y = 0; the spot's middle is u radii above it.
        const floor = { lines: [line], fields: [], floorColour: '#ffffff' };
        const share = darknessUnder(floor, { xM: 0, yM: u * radius }, 2 * radius);
        const segment = (Math.acos(-u) + u * Math.sqrt(1 - u * u)) / Math.PI;
        expect(Math.abs(share - segment)).toBeLessThan(0.03);
      }),
    );
  });

  it('of a stand-in are all in its readings, each off by its own hidden amount', () => {
    let record = withDevice(pipit, {
      kind: 'distance sensor',
      id: 'd4',
      label: 'D4',
      place: { aheadM: 0.06 },
    });
    record = withDevice(record, { kind: 'attachment motor', id: 'arm', label: 'arm' });
    const truth = standInTruth(record, 5);
    const [first, second] = devicesOf(truth.robot, 'distance sensor');
    expect(second?.behaviour.offsetM).not.toBe(first?.behaviour.offsetM);
    const actions = [
      { do: 'set-clock', rate: 0 },
      { do: 'power-on', inHand: false },
      { do: 'set-target', distanceM: 0.5 },
      { do: 'turn-attachment', unitId: 'arm', angleRad: deg(90) },
      { do: 'advance', durationS: 5 },
    ] as const;
    const state = actions.reduce(
      (now, action) => act(now, truth, action, 0),
      newStandIn('R', record, 5, 0),
    );
    const readings = readingsBetween(truth, state, 2, 5);
    const meanOf = (title: string) => {
      const values = readings.flatMap(({ units }) => units[title] ?? []);
      return values.reduce((a, b) => a + b, 0) / values.length;
    };
    for (const [unit, title, gapM] of [
      [first, 'D3_cm', 0.5],
      [second, 'D4_cm', 0.54],
    ] as const) {
      const { offsetM = 0, scale = 1 } = unit?.behaviour ?? {};
      expect(meanOf(title) / 100).toBeCloseTo(offsetM + scale * gapM, 2);
    }
    expect(meanOf('attachment_deg')).toBeCloseTo(90, 6);
    expect(meanOf('light_percent')).toBeGreaterThan(50);
  });
});

describe('a robot without a heading sensor', () => {
  const blind = withoutDevices(idealRobot, 'heading sensor');

  it('drives and turns by its encoders: without errors it ends at the plan', () => {
    const route = routeOf([
      { kind: 'straight', distanceM: 0.5 },
      { kind: 'turn', angleRad: deg(90) },
      { kind: 'straight', distanceM: 0.3 },
    ]);
    simulateRange({ robot: blind, table: bareTable, route, seed: 1 }, 0, 1, (_, { end }) => {
      expect(end.headingRad).toBeCloseTo(deg(90), 1);
      expect(Math.hypot(end.xM - 1.5, end.yM - 1.3)).toBeLessThan(0.03);
    });
  });

  it('does not see what its wheels do not: a wider track turns it too little', () => {
    const wide = { ...blind, errors: { ...blind.errors, trackScaleError: 0.05 } };
    const turned = (robot: typeof blind) => {
      let heading = 0;
      const route = routeOf([{ kind: 'turn', angleRad: deg(90) }]);
      simulateRange({ robot, table: bareTable, route, seed: 1 }, 0, 1, (_, { end }) => {
        heading = end.headingRad;
      });
      return heading;
    };
    expect(turned(wide) / turned(blind)).toBeCloseTo(1 / 1.05, 3);
    const routes = ROUTE_VERSIONS.map((version) => version.route);
    expect(
      routeNeeds(routes, blind).find(({ kind }) => kind === 'heading sensor')?.sentence,
    ).toMatch(/by the encoders alone/);
  });

  it('reads no heading on the bench, and all the rest', () => {
    const record = withoutDevices(pipit, 'heading sensor');
    const truth = standInTruth(record, 3);
    const on = act(newStandIn('R', record, 3, 0), truth, { do: 'power-on', inHand: false }, 0);
    const [reading] = readingsBetween(truth, on, 0, 1);
    expect(reading).toMatchObject({ headingRad: null, rateRadPerS: null });
    expect(Object.keys(reading?.units ?? {})).toEqual(['distance_cm', 'light_percent']);
  });
});

describe('the units of a stand-in that was unpacked before', () => {
  it('are those of the record now, each as it was: nothing hidden is given away by a correction', () => {
    const [left, right, heading, distance, light] = pipit.units;
    if (!left || !right || !heading || !distance || !light) throw new Error('no units');
    const moved = {
      ...distance,
      port: null,
      label: 'D9',
      place: { ...distance.place, aheadM: 0.3 },
    };
    const added = newDevice('new', 'touch sensor', []);
    const now = devicesNow(pipit.units, [left, right, moved, added, asKind(light, 'other')]);
    expect(now.map(({ id, kind }) => `${id} ${kind}`)).toEqual([
      'u1 left motor',
      'u2 right motor',
      'u4 distance sensor',
      'new touch sensor',
      'u5 other',
    ]);
    expect(now[2]).toMatchObject({ label: 'D9', port: null, place: { aheadM: 0.1 } });
  });
});
