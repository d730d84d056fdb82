import { randomStream } from '../stats/random';
import { motorDegreesFromDistance } from '../robot/conversions';
import { rolledOver } from '../channels/unwrapEncoder';
import { deviceReader } from '../sensing/readers';
import { columnsOfDevices } from '../devices/columns';
import { kindOf } from '../devices/registry';
import { headingOf } from '../devices/ofRobot';
import { attachmentDegreesAt, placeAt } from './place';
import { busyUntilS, drivesItself, epochAt, motionAt, type StandIn } from './state';
import type { StandInTruth } from './truth';
import { walkAt } from './walk';
import { worldAt } from './world';

/** What a robot tells of its sensors at one moment: raw, with the signs that its build gives them. */
export interface RawReading {
  tS: number;
  /** Null for a robot without a heading sensor. */
  headingRad: number | null;
  rateRadPerS: number | null;
  leftMotorDegrees: number;
  rightMotorDegrees: number;
  /** The button of the controller. */
  touch: boolean;
  volts: number;
  /** What its other units read, by the names of their columns and in their units; null: no echo. */
  units: Record<string, number | null>;
}

/** Time between two readings of the stand-in. */
export const READING_PERIOD_S = 0.02;

const rounded = (value: number, step: number): number =>
  step > 0 ? Math.round(value / step) * step : value;

const roundedTo = (value: number, decimals: number): number => Number(value.toFixed(decimals));

/** What a cold sensor's passing drift has come to since power-up. */
const warmUpAngle = (truth: StandInTruth, sinceS: number): number =>
  truth.warmUpRadPerS * truth.warmUpS * (1 - Math.exp(-Math.max(0, sinceS) / truth.warmUpS));

/** What a robot without a heading sensor would read, if it had a perfect one. */
const EXACT = { latencyS: 0, noiseRadPerSqrtS: 0, scaleError: 0 };

/** The heading as the sensor would read it without rounding, counter-clockwise positive. */
function headingAt(truth: StandInTruth, state: StandIn, tS: number): number {
  const gyro = headingOf(truth.robot) ?? EXACT;
  const epoch = epochAt(state, tS);
  const seenS = Math.max(epoch.fromS, tS - gyro.latencyS);
  const heading = placeAt(truth.robot, state, seenS).pose.headingRad;
  const index = Math.round((tS - epoch.poweredS) / READING_PERIOD_S);
  const zeroIndex = Math.round((epoch.zeroS - epoch.poweredS) / READING_PERIOD_S);
  const walk =
    gyro.noiseRadPerSqrtS *
    Math.sqrt(READING_PERIOD_S) *
    (walkAt(epoch.walkSeed, index) - walkAt(epoch.walkSeed, zeroIndex));
  return (
    (1 + gyro.scaleError) * (heading - epoch.zeroRad) +
    epoch.driftRadPerS * (tS - epoch.zeroS) +
    warmUpAngle(truth, tS - epoch.poweredS) -
    warmUpAngle(truth, epoch.zeroS - epoch.poweredS) +
    walk
  );
}

/** So much lower it is while the motors turn. */
export const UNDER_LOAD_V = 0.25;

/** Volts of a battery that sags as it is used, and more while the motors turn. */
export function batteryVoltsAt(truth: StandInTruth, state: StandIn, tS: number): number {
  const motion = motionAt(state, tS);
  const moving = motion !== undefined && tS < busyUntilS(state) && drivesItself(motion.what);
  const hours = (state.usedS + Math.max(0, tS - epochAt(state, tS).poweredS)) / 3600;
  return (
    truth.fullVolts - 0.5 * (1 - Math.exp(-2 * hours)) - 0.15 * hours - (moving ? UNDER_LOAD_V : 0)
  );
}

/** What the units read that are neither heading sensor nor driven wheel. */
function deviceReadings(truth: StandInTruth, state: StandIn, tS: number, index: number) {
  const { pose, floor, surfacesAt } = worldAt(truth, state, tS);
  const attachments = attachmentDegreesAt(truth.robot, state, tS);
  const weak = batteryVoltsAt(truth, state, tS) < truth.echoesFailBelowV;
  const readings = new Map(
    truth.robot.units.map((unit) => {
      const random = randomStream(state.seed, index, `reading: ${unit.id}`);
      const surfaces = surfacesAt(unit.place.heightM);
      const attachmentDegrees = attachments[unit.id] ?? 0;
      const read = deviceReader(unit, { surfaces, floor, random, attachmentDegrees })?.(pose, tS);
      const { lostWhenWeak = 0 } = kindOf(unit.kind);
      const isLost = weak && lostWhenWeak > 0 && random.uniform() < lostWhenWeak;
      return [unit.id, isLost ? {} : (read ?? {})] as const;
    }),
  );
  return Object.fromEntries(
    columnsOfDevices(truth.robot).map(({ unit, title, channel: { name, column } }) => {
      const value = readings.get(unit.id)?.[name] ?? null;
      return [title, value === null ? null : roundedTo(value * column.factor, column.decimals)];
    }),
  );
}

/** All that the stand-in reads at a place of its clock; null while it is switched off. */
export function readingAt(truth: StandInTruth, state: StandIn, index: number): RawReading | null {
  const tS = index * READING_PERIOD_S;
  if (!epochAt(state, tS).on) return null;
  const random = randomStream(state.seed, index, 'reading');
  const { robot } = truth;
  const place = placeAt(robot, state, tS);
  const headingRad = headingAt(truth, state, tS);
  const before = headingAt(truth, state, Math.max(epochAt(state, tS).fromS, tS - READING_PERIOD_S));
  const { signs } = truth;
  const count = 1 / robot.encoderCountsPerMotorDegree;
  const motor = (rollM: number, sign: number) => {
    const rolled = motorDegreesFromDistance(robot, rollM / (1 + robot.errors.wheelScaleError));
    const raw = sign * rounded(rolled, count);
    return robot.build.encodersRollOver ? rolledOver(raw) : raw;
  };
  const rate = (headingRad - before) / READING_PERIOD_S;
  const sensor = headingOf(robot);
  const turned = (value: number) => sensor && signs.heading * rounded(value, sensor.quantumRad);
  return {
    tS: Number(tS.toFixed(3)),
    headingRad: turned(headingRad),
    rateRadPerS: turned(rate),
    leftMotorDegrees: motor(place.leftM, signs.leftMotor),
    rightMotorDegrees: motor(place.rightM, signs.rightMotor),
    touch: state.buttonDown,
    volts: rounded(batteryVoltsAt(truth, state, tS) + 0.004 * random.normal(), 0.01),
    units: deviceReadings(truth, state, tS, index),
  };
}

/** At most this much of the past is told at once. */
const MOST_READINGS = 30_000;

/** Readings after one moment and up to another, every 20 ms while it was switched on. */
export function readingsBetween(
  truth: StandInTruth,
  state: StandIn,
  afterS: number,
  untilS: number,
): RawReading[] {
  const last = Math.floor(untilS / READING_PERIOD_S + 1e-6);
  const first = Math.max(Math.floor(afterS / READING_PERIOD_S + 1e-6) + 1, last - MOST_READINGS, 0);
  const readings: RawReading[] = [];
  for (let index = first; index <= last; index += 1) {
    const reading = readingAt(truth, state, index);
    if (reading !== null) readings.push(reading);
  }
  return readings;
}
