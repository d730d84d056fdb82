import { lengthStepM } from '../stats/instrumentStep';
import { leastScatter, roundedFit } from '../stats/roundedFit';
import { overrunM } from '../control/overrun';

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
  /** Scatter of single stops; never less than what rounding hides. NaN with nothing left to judge it by. */
  residualSdM: number;
  /** The step in which the gaps were read. */
  stepM: number;
  /** Standard error of the mean way, over the speed: the largest over the speeds that were tried. */
  lateSeS: number;
  /** How far it goes on after the threshold, at a speed. */
  overrunM(speedMPerS: number): number;
}

const squares = (values: readonly number[]) => values.reduce((sum, one) => sum + one * one, 0);

/** The normal distribution's 97.5 % quantile. */
const Z = 1.96;

/** The three models, as far as the trials can tell them. */
function fitsOf(trials: readonly StopTrial[], stepM: number) {
  const overruns = trials.map(({ thresholdM, stopM }) => thresholdM - stopM);
  const settings = trials.map(({ speedMPerS, thresholdM }) => `${speedMPerS} ${thresholdM}`);
  const fit = (columns: (v: number) => number[]) =>
    roundedFit(
      trials.map(({ speedMPerS }) => columns(speedMPerS)),
      overruns,
      stepM,
      settings,
    );
  const isOneSpeed = new Set(trials.map(({ speedMPerS }) => speedMPerS)).size === 1;
  return {
    isOneSpeed,
    lagOnly: fit((v) => [v]),
    brakingOnly: isOneSpeed ? null : fit((v) => [(v * v) / 2]),
    both: trials.length > 2 && !isOneSpeed ? fit((v) => [v, (v * v) / 2]) : null,
  };
}

/**
 * Between which values the lag lies. It is never negative, and never more than the whole way at any speed: where lag and
 * braking cannot be told apart, all of it may be braking.
 */
function lagInterval({ lagOnly, both }: ReturnType<typeof fitsOf>, lagS: number): [number, number] {
  const own = both !== null && both.degreesOfFreedom > 0 ? both : lagOnly;
  if (own === null) return [0, lagS];
  const [value = 0] = own.coefficients;
  const half = own.halfWidth95([1, 0].slice(0, own.coefficients.length));
  const low = own === both ? Math.max(0, value - half) : 0;
  return [Math.min(low, lagS), Math.max(value + half, lagS)];
}

/**
 * How far a robot goes on after its sensor passed a threshold: v·lag + v²/(2·braking), by least squares, neither
 * term negative. With one speed only the two cannot be told apart: all of it is taken as lag, and its interval begins at 0.
 *
 * Source: uniform braking after a dead time; non-negative least squares by trying the bounds (Lawson and Hanson,
 * Solving Least Squares Problems, 1974, chapter 23); intervals as `roundedFit`.
 * @param readToM in which step the gap was read, as somebody said; null: as the readings show it
 * @returns null with fewer than two trials
 */
export function stopModel(
  trials: readonly StopTrial[],
  readToM: number | null = null,
): StopModel | null {
  if (trials.length < 2) return null;
  const stepM = lengthStepM(
    trials.map(({ stopM }) => stopM),
    readToM,
  );
  const fits = fitsOf(trials, stepM);
  const { lagOnly, brakingOnly, both } = fits;
  const [lag = 0, inverse = 0] = both?.coefficients ?? [];
  const fit =
    both !== null && lag >= 0 && inverse > 0
      ? both
      : brakingOnly === null ||
          (lagOnly?.residualSumOfSquares ?? Infinity) <= brakingOnly.residualSumOfSquares
        ? lagOnly
        : brakingOnly;
  if (fit === null) return null;
  const isBraking = fit === brakingOnly;
  const lagS = isBraking ? 0 : Math.max(0, fit.coefficients[0] ?? 0);
  const inverseBraking = isBraking ? (fit.coefficients[0] ?? 0) : (fit.coefficients[1] ?? 0);
  const [lagLow95S, lagHigh95S] = lagInterval(fits, lagS);
  const brakingMPerS2 = inverseBraking > 1 / MOST_BRAKING_M_PER_S2 ? 1 / inverseBraking : null;
  const overrun = (v: number) => overrunM({ lagS, brakingMPerS2 }, v);
  const rest = trials.map((trial) => trial.thresholdM - trial.stopM - overrun(trial.speedMPerS));
  const columns = (v: number) => (fit === both ? [v, (v * v) / 2] : [isBraking ? (v * v) / 2 : v]);
  return {
    n: trials.length,
    lagS,
    lagLow95S,
    lagHigh95S,
    brakingMPerS2,
    residualSdM:
      fit.degreesOfFreedom > 0
        ? Math.max(Math.sqrt(squares(rest) / fit.degreesOfFreedom), leastScatter(stepM))
        : Number.NaN,
    stepM,
    lateSeS: Math.max(...trials.map(({ speedMPerS: v }) => fit.halfWidth95(columns(v)) / (Z * v))),
    overrunM: overrun,
  };
}

/** Brakes harder than this no speed of a small robot tells from brakes that hold at once. */
const MOST_BRAKING_M_PER_S2 = 1000;
