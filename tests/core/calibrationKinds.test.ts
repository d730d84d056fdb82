import { describe, expect, it } from 'vitest';
import type { CalibrationValue } from '../../src/core/calibration/calibration';
import { calibrationValueSchema } from '../../src/core/calibration/calibration';
import { calibrationOf } from '../../src/core/calibration/find';
import { earlierMethodText } from '../../src/core/calibration/earlierMethod';
import { fittedRobot } from '../../src/core/calibration/fittedRobot';
import {
  CALIBRATION_KINDS,
  describeCalibration,
  isByEarlierMethod,
  ofEveryKind,
} from '../../src/core/calibration/registry';
import { doubtsOf } from '../../src/core/sources/sources';
import { pipit } from '../../src/server/demo/scenario';
import { PROCEDURES } from '../../src/stations/bench/procedures';
import { deg } from './support';

/** What a gain was found good with. */
const UNDER = {
  looks: 4,
  speed: 0.2,
  slowest: 0.1,
  fastest: 0.3,
  aheadM: null,
  delayS: 0.06,
  damping: 0.1,
  integral: null,
};

/** One of each kind, as a procedure leaves it. */
const SOME: Record<CalibrationValue['kind'], CalibrationValue> = {
  'gyro-drift': { kind: 'gyro-drift', driftRadPerS: deg(0.3), low95: deg(0.29), high95: deg(0.31) },
  straight: {
    kind: 'straight',
    scaleFactor: 0.98,
    scaleFactorSe: 0.001,
    coastM: 0.004,
    residualSdM: 0.003,
  },
  speed: {
    kind: 'speed',
    gainMPerSPerV: 0.085,
    deadBand: 0.05,
    residualShare: 0.01,
    batteryV: 8,
    lowestCommand: 0.15,
    highestCommand: 1,
  },
  range: {
    kind: 'range',
    offsetM: 0.016,
    offsetSeM: 0.0004,
    scaleFactor: 1.01,
    scaleFactorSe: 0.001,
    noiseM: 0.004,
    lostRate: 0.02,
    validFromM: 0.05,
    validToM: 1.6,
  },
  stop: {
    kind: 'stop',
    lagS: 0.08,
    brakingMPerS2: 1.2,
    residualSdM: 0.004,
    n: 12,
    slowestMPerS: 0.1,
    fastestMPerS: 0.3,
  },
  'light-threshold': {
    kind: 'light-threshold',
    venue: 'home table',
    lighting: 'lamp',
    full: 100,
    lineIs: 'darker',
    threshold: 35,
    enter: 27,
    leave: 43,
    lineReads: 16,
    lineSd: 2,
    floorReads: 63,
    floorSd: 4.6,
    readingSd: 2,
    step: 1,
    errorRate: 1e-7,
    errorHigh95: 1e-5,
    heightM: null,
    n: 60,
  },
  'colour-classes': {
    kind: 'colour-classes',
    references: null,
    representation: 'hue',
    rules: [
      {
        name: 'red',
        sentence: 'red: hue between 340 and 20.',
        boxes: [[{ by: 'h', low: 340, high: 20 }]],
      },
      { name: 'blue', sentence: 'blue: hue between 200 and 250.', boxes: null },
    ],
    countsTo: 1023,
    errorRate: 0.01,
    errorHigh95: 0.05,
    n: 40,
  },
  'heading-tests': {
    kind: 'heading-tests',
    axis: { name: 'roll', sign: -1 },
    start: 'zeroes',
    motors: { driftRadPerS: 0.01, low95: 0.004, high95: 0.016 },
  },
  'line-following': {
    kind: 'line-following',
    targetShare: 0.38,
    gainRadPerSPerShare: 4.2,
    speedMPerS: 0.12,
    tightestBendM: 0.15,
    lineWidthM: 0.02,
    fastestMPerS: 0.19,
    lostAfterS: 0.2,
    runs: 30,
    held: 30,
  },
  'mode-switch': {
    kind: 'mode-switch',
    switchS: 0.06,
    low95S: 0.05,
    high95S: 0.07,
    oldReadings: 1,
    switches: 20,
  },
  'line-crossing': {
    kind: 'line-crossing',
    by: 'brightness',
    speedMPerS: 0.2,
    delayS: 0.05,
    passes: 20,
    wrong: 1,
    overruns: [
      { drives: 'forwards', on: 'entering', overM: 0.014, overSeM: 0.001, sdM: 0.002, n: 10 },
    ],
  },
  'line-squaring': {
    kind: 'line-squaring',
    speedMPerS: 0.1,
    secondMPerS: 0.04,
    biasRad: deg(0.4),
    biasSeRad: deg(0.1),
    headingSdRad: deg(0.5),
    n: 6,
  },
  attachment: {
    kind: 'attachment',
    armM: 0.1,
    homesBy: 'stop',
    rangeRad: null,
    positions: [
      { name: 'up', endedBy: 'counter', angleRad: 1.5, offsetRad: 0.02, sdRad: 0.01, n: 5 },
    ],
    playRad: 0.03,
    lateS: 0.02,
    moveS: 0.8,
  },
  presence: {
    kind: 'presence',
    by: 'D1',
    target: 'barrel',
    thereIs: 'lower',
    threshold: 31,
    step: 1,
    enter: 28,
    leave: 35,
    missRate: 0.001,
    missHigh95: 0.02,
    falseRate: 0.001,
    falseHigh95: 0.02,
    lostBelowV: 7.2,
    n: 20,
  },
  placing: {
    kind: 'placing',
    person: 'Ida',
    way: 'in the jig',
    n: 10,
    alongSdM: 0.0012,
    acrossSdM: 0.0011,
    headingSdRad: deg(0.3),
    aim: {
      alongM: 0.002,
      acrossM: -0.001,
      headingRad: deg(0.6),
      alongSeM: 0.0004,
      acrossSeM: 0.0004,
      headingSeRad: deg(0.1),
    },
  },
  squaring: {
    kind: 'squaring',
    power: 0.4,
    speedMPerS: 0.2,
    pressS: 0.9,
    timeConstantS: 0.25,
    headingSdRad: deg(0.4),
    n: 9,
  },
  'heading-hold': { kind: 'heading-hold', gainMPerSPerRad: 1.9, ...UNDER },
  'turn-gain': { kind: 'turn-gain', gainPerS: 4.5, ...UNDER, speed: 2 },
  'balance-gain': { kind: 'balance-gain', gainPerS: 8, ...UNDER },
  'wall-gain': { kind: 'wall-gain', gainRadPerSPerM: 12, ...UNDER, aheadM: 0.06 },
  'line-gain': { kind: 'line-gain', gainRadPerSPerShare: -3, ...UNDER, aheadM: 0.08 },
  drive: { kind: 'drive', trackRatio: 1.02, leftWheelFactor: 0.998, rightWheelFactor: 1.002 },
  turns: {
    kind: 'turns',
    groups: [
      {
        direction: 'both',
        rateRadPerS: deg(90),
        rates: [deg(90)],
        kind: 'spin',
        constantRad: deg(6),
        scaleError: 0,
        residualSdRad: deg(0.5),
        n: 12,
      },
    ],
    lagS: 0.06,
    brakingRadPerS2: null,
  },
};

describe.each(CALIBRATION_KINDS.map((one) => [one.name, one] as const))('%s', (_, kind) => {
  const value = SOME[kind.kind];

  it('is said in a line with its figures, and read back as it was kept', () => {
    const today = calibrationValueSchema.parse(JSON.parse(JSON.stringify(value)));
    expect(today).toMatchObject({ ...value, format: 'method named' });
    expect(calibrationValueSchema.parse(today)).toEqual(today);
    expect(() => calibrationValueSchema.parse({ ...value, wings: 2 })).toThrow('wings');
    expect(describeCalibration(value)).toMatch(/\d/);
    expect(describeCalibration(value)).not.toMatch(/NaN|undefined/);
  });

  it('changes the robot that is simulated, and makes known better what it measures', () => {
    // What is only typed into programs changes no plan.
    if (kind.isOnlyTyped && kind.measuredBy.procedure !== 'gains') return;
    expect(fittedRobot(pipit, [value]).robot).not.toEqual(pipit);
    // A gain is the coach's choice, and so are the bounds of colours: there is nothing about them that was not known.
    if (['gains', 'colours'].includes(kind.measuredBy.procedure)) return;
    const measured = (values: CalibrationValue[]) =>
      doubtsOf(values).filter((doubt) => doubt.measured).length;
    expect(measured([value])).toBeGreaterThan(measured([]));
  });

  it('comes from a procedure of the Bench that says so', () => {
    const procedure = PROCEDURES.find(({ id }) => id === kind.measuredBy.procedure);
    expect(procedure?.gives).toContain(kind.kind);
  });
});

describe('calibrations by an earlier method', () => {
  it('say so from then on; until then they show by what they leave out', () => {
    const isEarlier = (value: unknown) => isByEarlierMethod(calibrationValueSchema.parse(value));
    expect(isEarlier(SOME.straight)).toBe(true);
    expect(isEarlier({ ...SOME.straight, atMid: { distanceM: 0.8, seM: 0.001 } })).toBe(false);
    expect(isEarlier(SOME.range)).toBe(true);
    expect(isEarlier({ ...SOME.range, volts: { atZeroV: 0, perMV: 1 } })).toBe(false);
    // A gain was never told by another method.
    expect(isEarlier(SOME['heading-hold'])).toBe(false);
    expect(isEarlier(SOME.speed)).toBe(false);
    // What names its form is as it says.
    expect(isEarlier({ ...SOME.straight, format: 'method named' })).toBe(false);
    const later = calibrationValueSchema.safeParse({ ...SOME.speed, format: 'not yet made' });
    expect(later.error?.issues[0]?.message).toMatch(/kept by a later Corvat/);
    // A series that began with them says so.
    expect(earlierMethodText([calibrationValueSchema.parse(SOME.straight), SOME.speed])).toContain(
      'rests on straight drives by an earlier method',
    );
    expect(earlierMethodText([SOME.speed])).toBeNull();
  });
});

describe('all kinds together', () => {
  it('are each found among those that hold, and fitted whatever their order', () => {
    const all = Object.values(SOME);
    expect(ofEveryKind((kind) => calibrationOf(all, kind))).toEqual(SOME);
    expect(fittedRobot(pipit, all)).toEqual(fittedRobot(pipit, all.toReversed()));
    expect(calibrationOf([], 'drive')).toBeNull();
  });
});
