import { angleStepRad } from '../stats/instrumentStep';
import { linearFit } from '../stats/linearFit';
import { mean } from '../stats/moments';
import { roundedFit } from '../stats/roundedFit';
import { scatterInterval, type Scatter } from '../stats/scatterInterval';
import { student975 } from '../stats/student';
import { differentApartS } from './lineSpeed';

/** A robot that was squared on a line by two light sensors: each side drove until its own saw the line. */
export interface LineSquaringTrial {
  speedMPerS: number;
  /** Of a second pass, back and on again; null: there was none. */
  secondMPerS: number | null;
  beforeRad: number;
  afterRad: number;
}

/** The trials of one way to do it. */
export interface LineSquaringWay {
  speedMPerS: number;
  secondMPerS: number | null;
  n: number;
  /** What the heading is off by afterwards on average. */
  biasRad: number;
  low95: number;
  high95: number;
  /** By how much single ones scatter. */
  scatter: Scatter;
  /** Which share of the error before is still there, with its interval; null where the trials began too much alike. */
  left: { value: number; low95: number; high95: number } | null;
}

/** What two sensors and a loop allow at best. */
export interface TwoSensors {
  /** From one sensor to the other, across the way. */
  spacingM: number;
  loopPeriodS: number;
  sensorPeriodS: number;
}

/** Headings before that differ by less than this tell nothing of the share that is left. */
const LEAST_BEFORE_SD_RAD = (2 * Math.PI) / 180;
const FEWEST_FOR_SHARE = 4;

/** Uniform over a gap between readings, each side by itself. */
const UNIFORM_VARIANCE = 1 / 12;

/**
 * By how much headings scatter for the looking alone: each side stops up to a gap between readings late, independently,
 * and the heading is their difference over the spacing.
 */
export const lookingSdRad = (
  { spacingM, loopPeriodS, sensorPeriodS }: TwoSensors,
  speedMPerS: number,
): number =>
  (speedMPerS * differentApartS(loopPeriodS, sensorPeriodS) * Math.sqrt(2 * UNIFORM_VARIANCE)) /
  spacingM;

function leftOf(trials: readonly LineSquaringTrial[]): LineSquaringWay['left'] {
  const before = trials.map(({ beforeRad }) => beforeRad);
  const middle = mean(before);
  const spread = Math.sqrt(mean(before.map((one) => (one - middle) ** 2)));
  if (trials.length < FEWEST_FOR_SHARE || spread < LEAST_BEFORE_SD_RAD) return null;
  const fit = linearFit(
    before.map((one) => [1, one]),
    trials.map(({ afterRad }) => afterRad),
  );
  const variance = fit?.unscaledCovariance[1]?.[1];
  const value = fit?.coefficients[1];
  if (fit === null || variance === undefined || value === undefined) return null;
  const half = student975(fit.degreesOfFreedom) * fit.residualSd * Math.sqrt(variance);
  return { value, low95: value - half, high95: value + half };
}

function wayOf(trials: readonly LineSquaringTrial[], stepRad: number): LineSquaringWay {
  const after = trials.map(({ afterRad }) => afterRad);
  const [first] = trials;
  const half = roundedFit(
    after.map(() => [1]),
    after,
    stepRad,
  )?.halfWidth95([1]);
  const biasRad = mean(after);
  return {
    speedMPerS: first?.speedMPerS ?? 0,
    secondMPerS: first?.secondMPerS ?? null,
    n: trials.length,
    biasRad,
    low95: biasRad - (half ?? Infinity),
    high95: biasRad + (half ?? Infinity),
    scatter: scatterInterval(after, stepRad),
    left: leftOf(trials),
  };
}

/** Each way that was tried, the one after which headings scatter least first; ways tried once come last. */
export function lineSquaring(trials: readonly LineSquaringTrial[]): LineSquaringWay[] {
  const stepRad = angleStepRad(trials.flatMap(({ beforeRad, afterRad }) => [beforeRad, afterRad]));
  const keyOf = ({ speedMPerS, secondMPerS }: LineSquaringTrial) => `${speedMPerS} ${secondMPerS}`;
  const keys = [...new Set(trials.map(keyOf))];
  const scatterOf = ({ scatter: { sd } }: LineSquaringWay) => (Number.isNaN(sd) ? Infinity : sd);
  return keys
    .map((key) =>
      wayOf(
        trials.filter((one) => keyOf(one) === key),
        stepRad,
      ),
    )
    .toSorted((a, b) => scatterOf(a) - scatterOf(b));
}
