import { linearFit } from '../stats/linearFit';
import { student975 } from '../stats/student';
import { overrunM } from './overrun';

/** A stop at a threshold: gaps from the bumper to the wall. */
export interface StopTrial {
  speedMPerS: number;
  thresholdM: number;
  stopM: number;
}

export interface StopModel {
  n: number;
  /** From the moment at which the threshold is passed to that at which the motors brake. */
  lagS: number;
  lagLow95S: number;
  lagHigh95S: number;
  /** Null where the speeds do not show any braking distance. */
  brakingMPerS2: number | null;
  residualSdM: number;
  /** How far it goes on after the threshold, at a speed. */
  overrunM(speedMPerS: number): number;
}

const squares = (values: readonly number[]) => values.reduce((sum, one) => sum + one * one, 0);

/**
 * How far a robot goes on after its sensor passed a threshold: v·lag + v²/(2·braking), by least squares, neither
 * term negative. With one speed only the two cannot be told apart: all of it is taken as lag.
 *
 * Source: uniform braking after a dead time; non-negative least squares by trying the bounds (Lawson and Hanson,
 * Solving Least Squares Problems, 1974, chapter 23).
 * @returns null with fewer than two trials
 */
export function stopModel(trials: readonly StopTrial[]): StopModel | null {
  if (trials.length < 2) return null;
  const y = trials.map(({ thresholdM, stopM }) => thresholdM - stopM);
  const speeds = trials.map(({ speedMPerS }) => speedMPerS);
  const lagOnly = linearFit(
    speeds.map((v) => [v]),
    y,
  );
  const brakingOnly = linearFit(
    speeds.map((v) => [(v * v) / 2]),
    y,
  );
  const both =
    trials.length > 2 && new Set(speeds).size > 1
      ? linearFit(
          speeds.map((v) => [v, (v * v) / 2]),
          y,
        )
      : null;
  const [lag = 0, inverse = 0] = both?.coefficients ?? [];
  const fit =
    both !== null && lag >= 0 && inverse > 0
      ? both
      : (lagOnly?.residualSumOfSquares ?? Infinity) <=
            (brakingOnly?.residualSumOfSquares ?? Infinity) || new Set(speeds).size === 1
        ? lagOnly
        : brakingOnly;
  if (fit === null) return null;
  const isBraking = fit === brakingOnly;
  const lagS = isBraking ? 0 : Math.max(0, fit.coefficients[0] ?? 0);
  const inverseBraking = isBraking ? (fit.coefficients[0] ?? 0) : (fit.coefficients[1] ?? 0);
  const half =
    isBraking || fit.degreesOfFreedom < 1
      ? Infinity
      : student975(fit.degreesOfFreedom) *
        fit.residualSd *
        Math.sqrt(fit.unscaledCovariance[0]?.[0] ?? 0);
  const brakingMPerS2 = inverseBraking > 0 ? 1 / inverseBraking : null;
  const overrun = (v: number) => overrunM({ lagS, brakingMPerS2 }, v);
  return {
    n: trials.length,
    lagS,
    lagLow95S: Math.max(0, lagS - half),
    lagHigh95S: lagS + half,
    brakingMPerS2,
    residualSdM:
      fit.degreesOfFreedom > 0
        ? Math.sqrt(
            squares(y.map((value, i) => value - overrun(speeds[i] ?? 0))) / fit.degreesOfFreedom,
          )
        : Number.NaN,
    overrunM: overrun,
  };
}
