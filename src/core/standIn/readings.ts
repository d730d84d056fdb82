import { randomStream } from '../simulate/random';
import { motorDegreesFromDistance } from '../drive/conversions';
import { rolledOver } from '../drive/unwrapEncoder';
import { placeAt } from './place';
import { busyUntilS, epochAt, motionAt, type StandIn } from './state';
import type { StandInTruth } from './truth';
import { walkAt } from './walk';

/** What a robot tells of its sensors at one moment: raw, with the signs that its build gives them. */
export interface RawReading {
  tS: number;
  headingRad: number;
  rateRadPerS: number;
  leftMotorDegrees: number;
  rightMotorDegrees: number;
  /** Null: no echo. */
  distanceM: number | null;
  lightPercent: number;
  touch: boolean;
  volts: number;
}

/** Time between two readings of the stand-in. */
export const READING_PERIOD_S = 0.02;

const rounded = (value: number, step: number): number =>
  step > 0 ? Math.round(value / step) * step : value;

/** What a cold sensor's passing drift has come to since power-up. */
const warmUpAngle = (truth: StandInTruth, sinceS: number): number =>
  truth.warmUpRadPerS * truth.warmUpS * (1 - Math.exp(-Math.max(0, sinceS) / truth.warmUpS));

/** The heading as the sensor would read it without rounding, counter-clockwise positive. */
function headingAt(truth: StandInTruth, state: StandIn, tS: number): number {
  const { gyro } = truth.robot;
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

/** Volts of a battery that sags as it is used, and more while the motors turn. */
export function voltsAt(truth: StandInTruth, state: StandIn, tS: number): number {
  const moving = tS < busyUntilS(state) && motionAt(state, tS)?.what.by === 'program';
  const hours = (state.usedS + Math.max(0, tS - epochAt(state, tS).poweredS)) / 3600;
  return truth.fullVolts - 0.5 * (1 - Math.exp(-2 * hours)) - 0.15 * hours - (moving ? 0.25 : 0);
}

/** The distance that the sensor reads to the flat thing in front, or null without an echo. */
function distanceAt(
  truth: StandInTruth,
  state: StandIn,
  tS: number,
  noise: () => number,
  luck: number,
) {
  const sensor = truth.robot.distance;
  if (sensor === null || state.target === null) return null;
  const { pose } = placeAt(truth.robot, state, tS);
  const along = pose.xM * Math.cos(state.target.atRad) + pose.yM * Math.sin(state.target.atRad);
  const gap = state.target.distanceM - (along - state.target.atM);
  const facing = Math.cos(pose.headingRad - state.target.atRad);
  const trueM = gap / Math.max(facing, 0.05);
  const seen = facing > Math.cos(sensor.beamHalfAngleRad + 0.35) && gap > 0 && trueM <= sensor.maxM;
  if (!seen || luck < sensor.lostEchoShare) return null;
  const read = sensor.offsetM + sensor.scale * trueM + sensor.noiseM * noise();
  return Math.max(sensor.minM, rounded(read, sensor.quantumM));
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
  return {
    tS: Number(tS.toFixed(3)),
    headingRad: signs.heading * rounded(headingRad, robot.gyro.quantumRad),
    rateRadPerS: signs.heading * rounded(rate, robot.gyro.quantumRad),
    leftMotorDegrees: motor(place.leftM, signs.leftMotor),
    rightMotorDegrees: motor(place.rightM, signs.rightMotor),
    distanceM: distanceAt(truth, state, tS, () => random.normal(), random.uniform()),
    lightPercent: Math.round(truth.floorPercent + 1.2 * random.normal()),
    touch: state.buttonDown,
    volts: rounded(voltsAt(truth, state, tS) + 0.004 * random.normal(), 0.01),
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
