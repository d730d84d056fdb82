import { student975 } from '../stats/student';
import { linearFit } from '../stats/linearFit';
import { mean, sampleSd } from '../stats/moments';
import { randomStream } from '../simulate/random';
import { lapRounding } from './lapRounding';
import {
  closureM,
  guessDriveErrors,
  meanReturn,
  squareReturn,
  wheelFactors,
  type Corners,
  type DriveErrors,
  type LapReturn,
} from './squarePath';

export interface SquareLaps {
  sideM: number;
  trackM: number;
  cw: readonly LapReturn[];
  ccw: readonly LapReturn[];
  /** On the spot where it is left out. */
  corners?: Corners | undefined;
}

export interface EncoderSquare extends DriveErrors {
  trackRatioLow95: number;
  trackRatioHigh95: number;
  diameterRatioLow95: number;
  diameterRatioHigh95: number;
  /** Factors for the nominal diameters. */
  leftWheelFactor: number;
  rightWheelFactor: number;
  /** Mean distance of the centres of gravity from the start: as driven, and as the fit foretells it after correction. */
  closureBeforeM: number;
  closureAfterM: number;
}

/** A person with a ruler and a protractor, where there are too few laps to see their scatter. */
const USUAL_SD = { positionM: 0.006, headingRad: 0.012 };
/** How many laps the usual scatter weighs as. */
const USUAL_WEIGHT = 2;

/** Scatter of the laps about their direction's mean, mixed with the usual where there are few. */
function lapScatter({ cw, ccw }: SquareLaps) {
  const residuals = (of: (lap: LapReturn) => number) =>
    [cw, ccw].flatMap((laps) => {
      const middle = mean(laps.map(of));
      return laps.map((lap) => of(lap) - middle);
    });
  const pooled = (values: number[], usual: number) => {
    const squares = values.reduce((sum, value) => sum + value * value, 0);
    const degreesOfFreedom = Math.max(
      0,
      values.length - 2 * (values.length / (cw.length + ccw.length)),
    );
    return Math.sqrt((squares + USUAL_WEIGHT * usual ** 2) / (degreesOfFreedom + USUAL_WEIGHT));
  };
  return {
    positionM: pooled(
      [...residuals(({ xM }) => xM), ...residuals(({ yM }) => yM)],
      USUAL_SD.positionM,
    ),
    headingRad: pooled(
      residuals(({ headingRad }) => headingRad),
      USUAL_SD.headingRad,
    ),
  };
}

/**
 * Fit of the exact path to the mean returns of both directions (x, y and heading, each weighed by
 * its scatter) by Gauss and Newton, from the linear first guess, or from a fit near by.
 */
function fitDriveErrors(
  laps: SquareLaps,
  scatter: { positionM: number; headingRad: number },
  near?: DriveErrors,
): DriveErrors {
  const { sideM, trackM, corners } = laps;
  const means = { cw: meanReturn(laps.cw), ccw: meanReturn(laps.ccw) };
  let errors = near ?? guessDriveErrors(sideM, trackM, means.cw, means.ccw);
  const weighed = ({ xM, yM, headingRad }: LapReturn, n: number) => [
    (xM * Math.sqrt(n)) / scatter.positionM,
    (yM * Math.sqrt(n)) / scatter.positionM,
    (headingRad * Math.sqrt(n)) / scatter.headingRad,
  ];
  const model = (at: DriveErrors) => [
    ...weighed(squareReturn(sideM, trackM, at, 'cw', corners), laps.cw.length),
    ...weighed(squareReturn(sideM, trackM, at, 'ccw', corners), laps.ccw.length),
  ];
  const measured = [...weighed(means.cw, laps.cw.length), ...weighed(means.ccw, laps.ccw.length)];
  const step = 1e-6;
  for (let i = 0; i < 12; i += 1) {
    const now = model(errors);
    const byTrack = model({ ...errors, trackRatio: errors.trackRatio + step });
    const byWheels = model({ ...errors, diameterRatio: errors.diameterRatio + step });
    const fit = linearFit(
      now.map((value, j) => [
        ((byTrack[j] ?? 0) - value) / step,
        ((byWheels[j] ?? 0) - value) / step,
      ]),
      measured.map((value, j) => value - (now[j] ?? 0)),
    );
    const [track = 0, wheels = 0] = fit?.coefficients ?? [];
    errors = {
      trackRatio: errors.trackRatio + track,
      diameterRatio: errors.diameterRatio + wheels,
    };
    if (Math.abs(track) + Math.abs(wheels) < (near === undefined ? 1e-10 : 1e-6)) break;
  }
  return errors;
}

const RESAMPLES = 200;

/** Laps drawn with replacement, each direction from its own. */
function resampled(laps: SquareLaps, draw: () => number): SquareLaps {
  const from = (list: readonly LapReturn[]) =>
    list.flatMap(() => list[Math.floor(draw() * list.length)] ?? []);
  return { ...laps, cw: from(laps.cw), ccw: from(laps.ccw) };
}

/**
 * By how much a single lap each way shows more scatter than is usual: from what the two unknowns leave of
 * its six returns, mixed with the usual.
 */
function scatterFactor(laps: SquareLaps, errors: DriveErrors, scatter: typeof USUAL_SD): number {
  const squares = (['cw', 'ccw'] as const).reduce((sum, direction) => {
    const { xM, yM, headingRad } = leftOver(laps, errors, direction);
    const position = (xM * xM + yM * yM) / scatter.positionM ** 2;
    return sum + laps[direction].length * (position + (headingRad / scatter.headingRad) ** 2);
  }, 0);
  return Math.sqrt((squares + USUAL_WEIGHT) / (LEFT_OF_ONE_LAP + USUAL_WEIGHT));
}

/** Six returns of a lap each way, less two unknowns. */
const LEFT_OF_ONE_LAP = 4;

/**
 * Track and wheels of a drive from laps of an encoder-driven square in both directions.
 *
 * Intervals: bootstrap of the laps within each direction; its standard error, enlarged by √(n/(n−1))
 * for what few laps hide, with Student's quantile; each resample as it may have been before it was read off. With one lap a direction the usual scatter of a
 * ruler stands in, enlarged by what the lap's own returns contradict one another.
 * Source: Borenstein and Feng 1996; Efron and Tibshirani, An Introduction to the Bootstrap, 1993.
 */
export function encoderSquare(laps: SquareLaps): EncoderSquare {
  const scatter = lapScatter(laps);
  const errors = fitDriveErrors(laps, scatter);
  const random = randomStream(20, laps.cw.length + laps.ccw.length, 'square-bootstrap');
  const fewest = Math.min(laps.cw.length, laps.ccw.length);
  const shaken = (list: readonly LapReturn[]) =>
    list.map(({ xM, yM, headingRad }) => ({
      xM: xM + scatter.positionM * random.normal(),
      yM: yM + scatter.positionM * random.normal(),
      headingRad: headingRad + scatter.headingRad * random.normal(),
    }));
  const asRead = lapRounding(laps);
  const fits = Array.from({ length: RESAMPLES }, () =>
    fitDriveErrors(
      asRead(
        fewest > 1
          ? resampled(laps, () => random.uniform())
          : { ...laps, cw: shaken(laps.cw), ccw: shaken(laps.ccw) },
        random,
      ),
      scatter,
      errors,
    ),
  );
  const degreesOfFreedom =
    fewest > 1 ? Math.max(2, laps.cw.length + laps.ccw.length - 3) : LEFT_OF_ONE_LAP;
  const enlarged =
    fewest > 1 ? Math.sqrt(fewest / (fewest - 1)) : scatterFactor(laps, errors, scatter);
  const half = (of: (fit: DriveErrors) => number) =>
    student975(degreesOfFreedom) * enlarged * sampleSd(fits.map(of));
  const { trackRatio, diameterRatio } = errors;
  const halfTrack = half((fit) => fit.trackRatio);
  const halfWheels = half((fit) => fit.diameterRatio);
  const factors = wheelFactors(diameterRatio);
  const closure = (cw: LapReturn, ccw: LapReturn) => (closureM(cw) + closureM(ccw)) / 2;
  return {
    trackRatio,
    trackRatioLow95: trackRatio - halfTrack,
    trackRatioHigh95: trackRatio + halfTrack,
    diameterRatio,
    diameterRatioLow95: diameterRatio - halfWheels,
    diameterRatioHigh95: diameterRatio + halfWheels,
    leftWheelFactor: factors.left,
    rightWheelFactor: factors.right,
    closureBeforeM: closure(meanReturn(laps.cw), meanReturn(laps.ccw)),
    closureAfterM: closure(leftOver(laps, errors, 'cw'), leftOver(laps, errors, 'ccw')),
  };
}

/** What the fit does not explain of a direction's mean return: that stays after the correction. */
function leftOver(laps: SquareLaps, errors: DriveErrors, direction: 'cw' | 'ccw'): LapReturn {
  const measured = meanReturn(laps[direction]);
  const explained = squareReturn(laps.sideM, laps.trackM, errors, direction, laps.corners);
  return {
    xM: measured.xM - explained.xM,
    yM: measured.yM - explained.yM,
    headingRad: measured.headingRad - explained.headingRad,
  };
}

export interface GyroSquare {
  /** How much each quarter turn goes too far, in either direction. */
  turnBiasRad: number;
  turnBiasLow95: number | null;
  turnBiasHigh95: number | null;
  /** d(reading − truth) over one lap: the robot's own heading ends at minus this. */
  driftRadPerLap: number;
  driftLow95: number | null;
  driftHigh95: number | null;
  closureBeforeM: number;
}

/**
 * Turn bias and drift from laps of a gyro-turned square in both directions. Such laps say nothing
 * about the track: a heading error of the same sign both ways is drift, of opposite sign a turn bias.
 */
export function gyroSquare({ cw, ccw }: SquareLaps): GyroSquare {
  const right = cw.map(({ headingRad }) => headingRad);
  const left = ccw.map(({ headingRad }) => headingRad);
  const degreesOfFreedom = right.length + left.length - 2;
  const variance = (values: number[]) => (values.length > 1 ? sampleSd(values) ** 2 : 0);
  const pooled =
    degreesOfFreedom > 0
      ? ((right.length - 1) * variance(right) + (left.length - 1) * variance(left)) /
        degreesOfFreedom
      : Number.NaN;
  const error = Math.sqrt(pooled * (1 / right.length + 1 / left.length));
  const half = degreesOfFreedom > 0 ? student975(degreesOfFreedom) * error : null;
  const turnBiasRad = (mean(left) - mean(right)) / 8;
  const driftRadPerLap = -(mean(left) + mean(right)) / 2;
  const around = (value: number, width: number | null, sign: number) =>
    width === null ? null : value + sign * width;
  return {
    turnBiasRad,
    turnBiasLow95: around(turnBiasRad, half && half / 8, -1),
    turnBiasHigh95: around(turnBiasRad, half && half / 8, 1),
    driftRadPerLap,
    driftLow95: around(driftRadPerLap, half && half / 2, -1),
    driftHigh95: around(driftRadPerLap, half && half / 2, 1),
    closureBeforeM: (closureM(meanReturn(cw)) + closureM(meanReturn(ccw))) / 2,
  };
}
