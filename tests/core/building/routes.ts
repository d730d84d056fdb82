import { exactRobot } from '../../../src/core/machine/exactRobot';
import { robotSchema, type Robot } from '../../../src/core/robot/robot';
import { tableSchema } from '../../../src/core/table/table';
import { deg } from '../support';

const units = [
  { kind: 'left motor', label: 'ML', port: 'A' },
  { kind: 'right motor', label: 'MR', port: 'B' },
  { kind: 'heading sensor', label: 'H1', port: 'C', behaviour: { quantumRad: 0 } },
  { kind: 'distance sensor', label: 'D1', port: 'D', place: { aheadM: 0.1 } },
  {
    kind: 'distance sensor',
    label: 'D2',
    port: 'E',
    place: { aheadM: 0.08 },
    facingRad: Math.PI / 2,
  },
  { kind: 'light sensor', label: 'LL', port: 'F', place: { aheadM: 0.06, leftM: 0.03 } },
  { kind: 'light sensor', label: 'LR', port: 'G', place: { aheadM: 0.06, leftM: -0.03 } },
  { kind: 'light sensor', label: 'LC', port: 'H', place: { aheadM: 0.08, leftM: -0.07 } },
  { kind: 'touch sensor', label: 'T1', port: 'I', place: { aheadM: 0.11 } },
  { kind: 'attachment motor', label: 'arm', port: 'J' },
  { kind: 'colour sensor', label: 'C1', port: 'K', place: { aheadM: -0.05 } },
].map((unit, i) => ({ id: `u${i}`, ...unit }));

const made = (record: Record<string, unknown>, kept = units): Robot => ({
  ...exactRobot(
    robotSchema.parse({
      wheelDiameterM: 0.056,
      trackM: 0.13,
      encoderCountsPerMotorDegree: 10,
      motors: { lagS: 0.03, maxAccelerationMPerS2: 2 },
      build: { ports: 'ABCDEFGHIJK'.split('').map((name) => ({ name, takes: [] })) },
      units: kept,
      ...record,
    }),
  ),
  // Its wheels are not quite alike: what keeps it straight has something to do.
  errors: { wheelScaleError: 0, wheelDifference: 0.01, trackScaleError: 0, slipMPerSqrtM: 0 },
});

const power = { gainMPerSPerV: 0.08, deadBand: 0.06, batteryV: 8, nowV: 8 };
export const ROBOTS: Record<string, Robot> = {
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
export const table = tableSchema.parse({
  widthM: 4,
  heightM: 3,
  lines,
  missions: [mission],
  walls: [{ x1M: 0.6, y1M: 2.4, x2M: 2.4, y2M: 2.4 }],
  fields: [
    { x1M: 2.6, y1M: 0.1, x2M: 2.9, y2M: 0.4, colour: '#1f4fb0' },
    { x1M: 2.9, y1M: 0.1, x2M: 3.2, y2M: 0.4, colour: '#c81e1e' },
  ],
});

export const drive = (distanceM: number, more = {}) => ({ kind: 'straight', distanceM, ...more });
export const to = (angle: number, more = {}) => ({ kind: 'turn', angleRad: deg(angle), ...more });
export const by = (angle: number, more = {}) => to(angle, { mode: 'by', ...more });
const near = {
  reading: { unit: 'D1', channel: 'distance' },
  is: 'below',
  value: 0.9,
  confirmations: 2,
};
export const dark = (value = 0.3) => ({
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
export const arm = (angle: number, more = {}) => ({
  kind: 'attachment',
  unit: 'arm',
  angleRad: deg(angle),
  ...more,
});
export const start = { xM: 0.8, yM: 0.6, headingRad: 0 };

/** Routes that hold every kind of step between them, each in its ways. */
export const ROUTES: Record<string, [unknown[], typeof start?]> = {
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
  'without a stop': [
    [
      drive(0.4, { speedMPerS: 0.4, joins: true }),
      drive(0.25, { speedMPerS: 0.15, joins: true }),
      drive(0.3, { speedMPerS: 0.3, strategy: 'encoder-balance' }),
      drive(-0.2, { joins: true }),
      { kind: 'repeat', times: 2, steps: [drive(-0.1, { joins: true }), drive(-0.1)] },
      drive(0.3, { joins: true }),
      { kind: 'approach', sensor: 'D1', thresholdM: 2.1, speedMPerS: 0.2 },
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
      { kind: 'timed', seconds: 0.7, leftShare: 0.3, rightMPerS: 0.25 },
      {
        kind: 'arc',
        radiusM: 0.4,
        angleRad: deg(-50),
        until: { reading: { motor: 'ML' }, is: 'changed', value: 4, confirmations: 1 },
      },
      to(0),
      { kind: 'set-heading', headingRad: deg(1) },
      { kind: 'arc', radiusM: 0.04, angleRad: deg(-80) },
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
  'once more': [
    [
      {
        kind: 'approach',
        sensor: 'D1',
        thresholdM: 1.4,
        speedMPerS: 0.3,
        timeoutS: 3.2,
        onTimeout: 'again',
      },
      { kind: 'turn', angleRad: deg(40), timeoutS: 0.4, onTimeout: 'again' },
      drive(0.2),
    ],
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
  'by colour': [
    [
      ...[1, 2].flatMap(() => [
        {
          kind: 'decide',
          colour: 'C1',
          classes: { red: [], blue: [by(25), drive(0.1)], green: [drive(-0.2)] },
          usual: 'otherwise',
          otherwise: [drive(0.05), by(-5)],
        },
        drive(0.25),
      ]),
    ],
    { xM: 2.5, yM: 0.2, headingRad: 0 },
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
