import { student975 } from '../stats/student';
import { leverage, linearFit } from '../stats/linearFit';
import { mean, sampleSd } from '../stats/moments';
import {
  hiddenByRounding,
  leastScatter,
  shareHiddenByRounding,
  weightsOf,
} from '../stats/roundedFit';
import { lapSteps } from './lapSteps';
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
  /** In which step its places were read, as somebody said; null, or left out: as the readings show it. */
  readToM?: number | null | undefined;
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
 * its scatter) by Gauss and Newton, from the linear first guess.
 */
function fitDriveErrors(laps: SquareLaps, scatter: typeof USUAL_SD): DriveErrors {
  const { sideM, trackM, corners } = laps;
  const means = { cw: meanReturn(laps.cw), ccw: meanReturn(laps.ccw) };
  let errors = guessDriveErrors(sideM, trackM, means.cw, means.ccw);
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
    if (Math.abs(track) + Math.abs(wheels) < 1e-10) break;
  }
  return errors;
}

/** How many returns the usual proportion of places to headings weighs as. */
const PROPORTION_WEIGHT = 6;
/** Unknowns of the path, in halves: one is paid for by the places, one by the headings. */
const PAID = 1;

/**
 * Scatter of the laps about a fitted path. Places and headings scatter in the usual proportion, as far as few laps do
 * not say otherwise: a lucky pair of headings is not to outweigh all places.
 */
function scatterAbout(laps: SquareLaps, errors: DriveErrors) {
  const { cw, ccw, sideM, trackM, corners } = laps;
  const steps = lapSteps(laps);
  const offs = (['cw', 'ccw'] as const).flatMap((direction) => {
    const end = squareReturn(sideM, trackM, errors, direction, corners);
    return (direction === 'cw' ? cw : ccw).map((lap) => ({
      positions: [lap.xM - end.xM, lap.yM - end.yM],
      heading: lap.headingRad - end.headingRad,
    }));
  });
  const squares = (values: number[], usual: number) =>
    values.reduce((sum, value) => sum + (value / usual) ** 2, 0);
  const places = offs.flatMap(({ positions }) => positions);
  const headings = offs.map(({ heading }) => heading);
  const [ofPlaces, ofHeadings] = [
    squares(places, USUAL_SD.positionM),
    squares(headings, USUAL_SD.headingRad),
  ];
  const common =
    (ofPlaces + ofHeadings + USUAL_WEIGHT) /
    (places.length + headings.length - 2 * PAID + USUAL_WEIGHT);
  const mixed = (sum: number, n: number) =>
    Math.sqrt((sum + PROPORTION_WEIGHT * common) / (n - PAID + PROPORTION_WEIGHT));
  return {
    positionM: Math.max(
      leastScatter(steps.positionM),
      USUAL_SD.positionM * mixed(ofPlaces, places.length),
    ),
    headingRad: Math.max(
      leastScatter(steps.headingRad),
      USUAL_SD.headingRad * mixed(ofHeadings, headings.length),
    ),
  };
}

/** Of a step, what all readings of one kind may share unseen. */
const hiddenPart = (sd: number, step: number): number =>
  step * Math.sqrt(shareHiddenByRounding(sd, step));

/** The returns of all laps about the fitted path, linear in what is not known: each weighed by its scatter. */
function linearised(laps: SquareLaps, errors: DriveErrors, scatter: typeof USUAL_SD) {
  const { sideM, trackM, corners } = laps;
  const step = 1e-6;
  const steps = lapSteps(laps);
  return (['cw', 'ccw'] as const).flatMap((direction) => {
    const at = (some: DriveErrors) => squareReturn(sideM, trackM, some, direction, corners);
    const now = at(errors);
    const byTrack = at({ ...errors, trackRatio: errors.trackRatio + step });
    const byWheels = at({ ...errors, diameterRatio: errors.diameterRatio + step });
    return (['xM', 'yM', 'headingRad'] as const).flatMap((of) => {
      const sd = of === 'headingRad' ? scatter.headingRad : scatter.positionM;
      const row = [byTrack, byWheels].map((more) => (more[of] - now[of]) / step / sd);
      return laps[direction].map((lap) => ({
        row,
        off: (lap[of] - now[of]) / sd,
        step: hiddenPart(sd, of === 'headingRad' ? steps.headingRad : steps.positionM) / sd,
        setting: `${direction} ${of}`,
      }));
    });
  });
}

/** Half the 95 % interval of a combination of track and wheels: by scatter, and by what the steps may hide. */
function halfWidthsOf(seen: ReturnType<typeof linearised>): (columns: [number, number]) => number {
  const rows = seen.map(({ row }) => row);
  const fit = linearFit(
    rows,
    seen.map(({ off }) => off),
  );
  if (fit === null) return () => Infinity;
  const steps = seen.map(({ step }) => step);
  const settings = seen.map(({ setting }) => setting);
  // All returns are weighed by their scatter, which is at least what it is reckoned with.
  const sd = Math.max(1, fit.residualSd);
  return (columns) => {
    const byScatter = student975(fit.degreesOfFreedom) * sd * Math.sqrt(leverage(fit, columns));
    // Added, for laps whose readings agree have both: what the step hides, and how far one may stand from the next.
    return byScatter + hiddenByRounding(weightsOf(fit, rows, columns), settings, steps);
  };
}

/**
 * Track and wheels of a drive from laps of an encoder-driven square in both directions.
 *
 * Intervals: of the path linearised at the fit, all returns weighed by their scatter, with what a tape and a protractor
 * hide in their steps. (A bootstrap of two to four laps each way held the truth in 87 to 92 of 100.)
 * Source: Borenstein and Feng 1996; Seber and Wild, Nonlinear Regression, 1989, section 2.1; rounding as `roundedFit`.
 */
export function encoderSquare(laps: SquareLaps): EncoderSquare {
  const first = fitDriveErrors(laps, lapScatter(laps));
  const scatter = scatterAbout(laps, first);
  const errors = fitDriveErrors(laps, scatter);
  const seen = linearised(laps, errors, scatter);
  const half = halfWidthsOf(seen);
  const { trackRatio, diameterRatio } = errors;
  const [halfTrack, halfWheels] = [half([1, 0]), half([0, 1])];
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
