import { describe, expect, it } from 'vitest';
import { buildingSheet, type BuildingSheet } from '../../../src/core/building/sheet';
import { planRoute } from '../../../src/core/course/plan';
import type { Route } from '../../../src/core/course/route';
import { prepare } from '../../../src/core/forecast/prepare';
import { simulateRun } from '../../../src/core/forecast/run';
import { wrap } from '../../../src/core/geometry/angle';
import { exactRobot } from '../../../src/core/machine/exactRobot';
import { robotSchema, type Robot } from '../../../src/core/robot/robot';
import { tableSchema, type Table } from '../../../src/core/table/table';
import { STEP_DESCRIPTIONS } from '../../../src/core/steps/descriptions';
import { draws } from '../../support/draws';
import { deg, routeOf } from '../support';
import { driveSheet } from './sheetDriver';

const units = [
  { kind: 'left motor', label: 'ML', port: 'A' },
  { kind: 'right motor', label: 'MR', port: 'B' },
  { kind: 'heading sensor', label: 'H1', port: 'C', behaviour: { quantumRad: 0 } },
  { kind: 'distance sensor', label: 'D1', port: 'D', place: { aheadM: 0.1 } },
  { kind: 'distance sensor', label: 'D2', port: 'E', place: { aheadM: 0.08 }, facingRad: Math.PI / 2 },
  { kind: 'light sensor', label: 'LL', port: 'F', place: { aheadM: 0.06, leftM: 0.03 } },
  { kind: 'light sensor', label: 'LR', port: 'G', place: { aheadM: 0.06, leftM: -0.03 } },
  { kind: 'light sensor', label: 'LC', port: 'H', place: { aheadM: 0.08, leftM: -0.07 } },
  { kind: 'touch sensor', label: 'T1', port: 'I', place: { aheadM: 0.11 } },
  { kind: 'attachment motor', label: 'arm', port: 'J' },
].map((unit, i) => ({ id: `u${i}`, ...unit }));

const made = (record: Record<string, unknown>, kept = units): Robot => ({
  ...exactRobot(
    robotSchema.parse({
      wheelDiameterM: 0.056,
      trackM: 0.13,
      encoderCountsPerMotorDegree: 10,
      motors: { lagS: 0.03, maxAccelerationMPerS2: 2 },
      build: { ports: 'ABCDEFGHIJ'.split('').map((name) => ({ name, takes: [] })) },
      units: kept,
      ...record,
    }),
  ),
  // Its wheels are not quite alike: what keeps it straight has something to do.
  errors: { wheelScaleError: 0, wheelDifference: 0.01, trackScaleError: 0, slipMPerSqrtM: 0 },
});

const power = { gainMPerSPerV: 0.08, deadBand: 0.06, batteryV: 8, nowV: 8 };
const ROBOTS: Record<string, Robot> = {
  'in degrees a second, motors and heading turned round': made({
    program: { command: 'degrees per second', travel: 'motor degrees', setsHeading: 'zero' },
    signs: { heading: -1, leftMotor: -1, rightMotor: 1 },
  }),
  'by power, gears 1:3, in rotations': made({
    program: { command: 'percent', travel: 'rotations' },
    gearRatio: 3,
    measured: { power },
    signs: { heading: 1, leftMotor: 1, rightMotor: -1 },
  }),
  'told how fast it goes and turns, in radians': made({
    program: { command: 'mm per second', travel: 'mm', angles: 'radians', turnSign: -1 },
  }),
  'without a heading sensor, as nobody has said': made(
    {},
    units.filter(({ kind }) => kind !== 'heading sensor'),
  ),
};

const lines = [
  { x1M: 1.6, y1M: 0.2, x2M: 1.6, y2M: 2.8, widthM: 0.02 },
  { x1M: 2.2, y1M: 0.2, x2M: 2.2, y2M: 2.8, widthM: 0.02 },
  { x1M: 0.6, y1M: 1.5, x2M: 3.4, y2M: 1.5, widthM: 0.02 },
];
const mission = { id: 'm', name: 'lever', pose: { xM: 2, yM: 1, headingRad: 0 }, window: {} };
const table = tableSchema.parse({
  widthM: 4,
  heightM: 3,
  lines,
  missions: [mission],
  walls: [{ x1M: 0.6, y1M: 2.4, x2M: 2.4, y2M: 2.4 }],
});

const drive = (distanceM: number, more = {}) => ({ kind: 'straight', distanceM, ...more });
const to = (angle: number, more = {}) => ({ kind: 'turn', angleRad: deg(angle), ...more });
const by = (angle: number, more = {}) => to(angle, { mode: 'by', ...more });
const near = {
  reading: { unit: 'D1', channel: 'distance' },
  is: 'below',
  value: 0.9,
  confirmations: 2,
};
const dark = (value = 0.3) => ({
  reading: { unit: 'LL', channel: 'light' },
  is: 'below',
  value,
  confirmations: 1,
});
const heading = (value: number, is = 'above') => ({
  reading: 'heading',
  is,
  value: deg(value),
  confirmations: 1,
});
const arm = (angle: number, more = {}) => ({
  kind: 'attachment',
  unit: 'arm',
  angleRad: deg(angle),
  ...more,
});
const start = { xM: 0.8, yM: 0.6, headingRad: 0 };

/** Routes that hold every kind of step between them, each in its ways. */
const ROUTES: Record<string, [unknown[], typeof start?]> = {
  drives: [
    [
      drive(0.4),
      drive(-0.2, { ramp: false }),
      to(90),
      drive(0.3, { strategy: 'encoder-balance' }),
      to(0, { strategy: 'two-speed' }),
      drive(0.3, { holds: 'as-it-stands' }),
      drive(0.2, { strategy: 'encoder-balance', holds: 'as-it-stands' }),
      drive(0.2, {
        strategy: 'open-loop',
        until: { reading: 'time', is: 'above', value: 0.8, confirmations: 1 },
      }),
    ],
  ],
  turns: [
    [
      by(80, { about: 'left-wheel' }),
      to(-40, { strategy: 'encoder' }),
      by(-70, { strategy: 'proportional', about: 'right-wheel' }),
      to(60, { strategy: 'proportional', direction: 'left' }),
      by(50, { strategy: 'encoder', about: 'right-wheel', slowRateRadPerS: 0.3 }),
      by(-100, { strategy: 'two-speed', about: 'left-wheel' }),
      to(0, { until: heading(30, 'below') }),
      drive(0.3),
    ],
  ],
  arcs: [
    [
      { kind: 'arc', radiusM: 0.3, angleRad: deg(70) },
      { kind: 'arc', radiusM: 0.2, angleRad: deg(-60), back: true },
      { kind: 'timed', seconds: 0.7, leftShare: 0.3, rightShare: 0.5 },
      {
        kind: 'arc',
        radiusM: 0.4,
        angleRad: deg(-50),
        until: { reading: { motor: 'ML' }, is: 'changed', value: 4, confirmations: 1 },
      },
      to(0),
      { kind: 'set-heading', headingRad: deg(1) },
      drive(0.2),
    ],
  ],
  'up to things': [
    [
      { kind: 'approach', sensor: 'D1', thresholdM: 2.2, speedMPerS: 0.3 },
      { kind: 'approach', thresholdM: 1.6, speedMPerS: 0.3, slowMPerS: 0.1, slowFromM: 1.8 },
      to(-90),
      { kind: 'touch', sensor: 'T1', speedMPerS: 0.15 },
      drive(-0.3),
      { kind: 'touch', sensor: 'stall', speedMPerS: 0.15 },
      drive(-0.2),
      to(180),
      { kind: 'square-up', back: true, speedMPerS: 0.2, pressS: 1 },
      drive(0.4),
      to(90),
      drive(0.4),
    ],
    { xM: 2.4, yM: 0.6, headingRad: 0 },
  ],
  'to lines': [
    [
      { kind: 'to-line', sensor: 'LL', count: 2, on: 'leaving' },
      drive(-0.9),
      { kind: 'square-on-line', left: 'LL', right: 'LR', speedMPerS: 0.1, secondMPerS: 0.05 },
    ],
  ],
  'along lines': [
    [
      drive(-0.1),
      { kind: 'follow-line', sensor: 'LL', astride: 'LR', lengthM: 0.4 },
      {
        kind: 'follow-line',
        sensor: 'LL',
        side: 'left',
        lengthM: 1.5,
        crossings: 2,
        crossingSensor: 'LC',
      },
    ],
    { xM: 1.1, yM: 1.5, headingRad: 0 },
  ],
  'along a wall': [
    [
      { kind: 'follow-wall', sensor: 'D2', side: 'left', keepM: 0.25, lengthM: 3, toEnd: true },
      {
        kind: 'square-on-line',
        speedMPerS: 0.1,
        darker: true,
        until: { reading: 'time', is: 'above', value: 1, confirmations: 1 },
      },
      drive(-0.1),
    ],
    { xM: 1.7, yM: 2.1, headingRad: 0 },
  ],
  blocks: [
    [
      arm(40, { wait: false }),
      {
        kind: 'part',
        name: 'round',
        steps: [drive(0.2), { kind: 'repeat', times: 2, steps: [by(45), drive(0.1)] }],
      },
      {
        kind: 'repeat',
        times: 3,
        steps: [arm(10), arm(40), { kind: 'mark', missionId: 'm', dwellS: 0.2 }],
      },
      {
        kind: 'decide',
        if: { all: [near, { any: [dark(), heading(80)] }] },
        usual: 'else',
        then: [drive(0.1)],
        else: [by(-30), drive(0.1)],
      },
      {
        kind: 'free',
        words: 'push the lever, twice',
        alongM: 0.05,
        acrossM: -0.02,
        headingRad: deg(20),
        seconds: 0.5,
        alongSdM: 0,
        acrossSdM: 0,
        headingSdRad: 0,
      },
      to(0),
      { kind: 'repeat', times: 1, until: { ...near, value: 2.4 }, most: 6, steps: [drive(0.15)] },
      {
        kind: 'meanwhile',
        on: { ...near, value: 2.2, confirmations: 1 },
        hysteresis: 0.05,
        motion: drive(0.4, { until: { any: [{ ...near, value: 2 }, dark()] } }),
        up: [arm(90)],
        down: [arm(0)],
      },
      {
        kind: 'wait',
        seconds: 5,
        until: { reading: { motor: 'arm' }, is: 'still', value: 0.02, confirmations: 1 },
      },
      { kind: 'wait', seconds: 0, start: true },
      { kind: 'attachment', unit: 'arm', seconds: 0.3, share: -0.5 },
      by(30),
      drive(0.2),
    ],
  ],
};

/** What is changed on a sheet, one thing at a time: a number, a sign, an inequality, a port. */
const CHANGED: unknown[] = [
  to(8),
  { kind: 'to-line', sensor: 'LL' },
  drive(-0.6),
  to(90),
  drive(0.5),
  by(-30, { strategy: 'two-speed' }),
  { kind: 'approach', thresholdM: 0.8, speedMPerS: 0.2, slowMPerS: 0.1, slowFromM: 0.95 },
  arm(80),
  {
    kind: 'decide',
    if: { ...dark(), confirmations: 2 },
    usual: 'else',
    then: [drive(0.1)],
    else: [drive(0.1), { kind: 'timed', seconds: 0.5, leftShare: 0.3, rightShare: 0.4 }],
  },
];
/** What lies there in some runs, where it decides. */
const tile = { x1M: 1.5, y1M: 1.4, x2M: 2, y2M: 1.9, colour: '#202020' };

const withIds = (steps: unknown[]): unknown[] => {
  let next = 0;
  return JSON.parse(JSON.stringify(steps), (_key, one: unknown) =>
    typeof one === 'object' && one !== null && 'kind' in one
      ? { id: `s${(next += 1)}`, ...one }
      : one,
  ) as unknown[];
};
const NUMBER = /(?<![\w.])[−-]?\d+(\.\d+)?/g;
const SWAPPED: Record<string, string> = { '>=': '<=', '<=': '>=', '> ': '< ', ' + ': ' - ', ' - ': ' + ' };

/** The text with one thing in it changed: for each, several changes of which one at least has to show. */
function changesOf(text: string): string[][] {
  const from = /^\s*\d[\w.]*: /.exec(text)?.[0].length ?? 0;
  const put = (at: number, old: string, now: string) =>
    text.slice(0, at) + now + text.slice(at + old.length);
  const numbers = [...text.matchAll(NUMBER)]
    .filter(({ index }) => index >= from)
    .map(({ 0: old, index }) => {
      const value = Number(old.replace('−', '-'));
      return [0, -value, 3 * value + 1, 1000 * value + 5000, -1000 * value - 5000].map((now) => put(index, old, `${now}`));
    });
  const signs = Object.entries(SWAPPED).flatMap(([sign, other]) => {
    const at = text.indexOf(sign, from);
    return at === -1 ? [] : [[put(at, sign, other)]];
  });
  return [...numbers, ...signs];
}

/** Every sheet with one thing on it changed. */
function changedSheets(sheet: BuildingSheet): { what: string; sheets: BuildingSheet[] }[] {
  const inLines = (lines: readonly string[], with_: (lines: string[]) => BuildingSheet) =>
    lines.flatMap((line, i) =>
      changesOf(line).map((changes) => ({
        what: line,
        sheets: changes.map((now) => with_(lines.map((one, k) => (k === i ? now : one)))),
      })),
    );
  const all = [...sheet.program, ...sheet.recipes.flatMap(({ lines }) => lines)].join(' ');
  return [
    ...inLines(sheet.program, (program) => ({ ...sheet, program })),
    ...sheet.recipes.flatMap((recipe, r) =>
      inLines(recipe.lines, (lines) => ({
        ...sheet,
        recipes: sheet.recipes.map((one, k) => (k === r ? { ...one, lines } : one)),
      })),
    ),
    ...sheet.devices.flatMap((device, d) => {
      const other = sheet.devices[(d + 2) % sheet.devices.length]?.port ?? '';
      const devices = sheet.devices.map((one, k) => (k === d ? { ...one, port: other } : one));
      return all.includes(device.name)
        ? [{ what: `port of ${device.name}`, sheets: [{ ...sheet, devices }] }]
        : [];
    }),
  ];
}

const routeNamed = (name: string): Route => {
  const [steps, from = start] = ROUTES[name] ?? [[]];
  return routeOf(withIds(steps), from);
};

function simulated(route: Route, robot: Robot, planned: Table, on = planned) {
  const simulation = { robot, table: on, route, seed: 1 };
  const prepared = prepare(simulation, (answers) => planRoute(route, robot, planned, answers));
  return simulateRun(simulation, prepared, 0).end;
}

/** How far apart they end, mm and degrees; far where the sheet gave up. */
function apart(sheet: BuildingSheet, route: Route, robot: Robot, on: Table) {
  const run = simulated(route, robot, on);
  const driven = driveSheet(sheet, robot, on, route.start);
  if (driven === null || run.failure !== null)
    return {
      mm: driven === null && run.failure !== null ? 0 : 1e3,
      degrees: 0,
      failure: run.failedNumber,
    };
  return {
    mm: 1000 * Math.hypot(driven.xM - run.xM, driven.yM - run.yM),
    degrees: Math.abs(wrap(driven.headingRad - run.headingRad)) / deg(1),
    failure: run.failedNumber,
  };
}

describe('the building sheet', () => {
  it('has a route for every kind of step', () => {
    const text = JSON.stringify(ROUTES);
    for (const kind of Object.keys(STEP_DESCRIPTIONS)) expect(text).toContain(`"kind":"${kind}"`);
  });

  for (const [of, robot] of Object.entries(ROBOTS))
    for (const name of Object.keys(ROUTES))
      it(`drives a robot ${of} as it is simulated: ${name}`, () => {
        const route = routeNamed(name);
        const sheet = buildingSheet(route, robot, table);
        const { mm, degrees, failure } = apart(sheet, route, robot, table);
        expect(failure).toBeNull();
        expect(mm).toBeLessThan(5);
        expect(degrees).toBeLessThan(0.5);
      });

  it('shows every number, sign, inequality and port that is typed wrong', () => {
    const [alike] = Object.values(ROBOTS) as [Robot];
    const robot = { ...alike, errors: { ...alike.errors, wheelDifference: 0.03 } };
    // It stands on a line as it begins, which does not count.
    const route = routeOf(withIds(CHANGED), { ...start, xM: 1.54 });
    const sheet = buildingSheet(route, robot, table);
    const worlds = [table, { ...table, fields: [tile] }].map((on) => ({
      on,
      right: simulated(route, robot, table, on),
    }));
    const isFar = (typed: BuildingSheet) =>
      worlds.some(({ on, right }) => {
        try {
          const end = driveSheet(typed, robot, on, route.start);
          if (end === null) return true;
          const mm = 1000 * Math.hypot(end.xM - right.xM, end.yM - right.yM);
          const rad = Math.abs(wrap(end.headingRad - right.headingRad));
          return !(mm < 5 && rad < deg(0.5) && Math.abs(end.timeS - right.timeS) < 0.06);
        } catch {
          return true;
        }
      });
    expect(isFar(sheet)).toBe(false);
    // A band about a threshold keeps noise from counting twice, and this robot has none.
    const changed = changedSheets(sheet).filter(({ what }) => !what.includes('if WAS ON = 1:'));
    const every = Math.max(1, Math.round(changed.length / draws(changed.length)));
    const missed = changed
      .filter((_, i) => i % every === 0)
      .filter(({ sheets }) => !sheets.some(isFar));
    expect(missed.map(({ what }) => what)).toEqual([]);
  });
});
