import { student975 } from '../stats/student';
import { leverage, type LinearFit } from '../stats/linearFit';
import { fitErrors } from './weights';

/** Which errors a group of turns has: |actual| = c + (1 + k)·|target| + noise. */
export type TurnModelName = 'none' | 'c' | 'k' | 'both';

/** The chosen model of a group, fitted to the error |actual| − |target|. */
export interface TurnErrorModel {
  model: TurnModelName;
  /** c: the same at every angle; positive is turning too far. */
  constantRad: number;
  /** k: the same share of every angle. */
  scaleError: number;
  /** With n − p; NaN when there is nothing left to judge it by. */
  residualSdRad: number;
  n: number;
  points: readonly TargetAndActual[];
  fit: LinearFit;
  /** Smallest and largest target tried. */
  fromRad: number;
  toRad: number;
  /** c and k cannot be told apart: only one target angle was tried. */
  oneTarget: boolean;
  /** AICc of each model that could be judged, less the smallest. */
  aiccAbove: Partial<Record<TurnModelName, number>>;
}

export interface TargetAndActual {
  target: number;
  actual: number;
  /** How surely its angle was read, where that was less surely than the others. */
  readingSdRad?: number | undefined;
}

const COLUMNS: Record<TurnModelName, (target: number) => number[]> = {
  none: () => [],
  c: () => [1],
  k: (target) => [target],
  both: (target) => [1, target],
};

/** Two targets closer than this are one: nobody reads a protractor finer. */
const SAME_TARGET_RAD = 0.009;
/** A residual below this is no scatter but the rounding of numbers. */
const LEAST_SD_RAD = 1e-6;

/**
 * Akaike's criterion for small samples, the noise's variance counted as a parameter.
 *
 * Source: Hurvich and Tsai, Biometrika 76 (1989) 297–307.
 */
export function aicc(residualSumOfSquares: number, n: number, meanParameters: number): number {
  const parameters = meanParameters + 1;
  if (n - parameters - 1 <= 0) return Infinity;
  const variance = Math.max(residualSumOfSquares / n, LEAST_SD_RAD ** 2);
  return (
    n * Math.log(variance) +
    2 * parameters +
    (2 * parameters * (parameters + 1)) / (n - parameters - 1)
  );
}

const fitModel = (name: TurnModelName, trials: readonly TargetAndActual[]): LinearFit | null =>
  fitErrors(trials, ({ target }) => COLUMNS[name](target));

/** With two or three trials no criterion can judge: a constant, if Student's t proves one at 5 %. */
function smallSampleChoice(trials: readonly TargetAndActual[]): TurnModelName {
  const fit = fitModel('c', trials);
  if (fit === null || trials.length < 2) return 'none';
  const error = fit.residualSd * Math.sqrt(fit.unscaledCovariance[0]?.[0] ?? Infinity);
  const limit = error * student975(trials.length - 1);
  return Math.abs(fit.coefficients[0] ?? 0) > Math.max(limit, LEAST_SD_RAD) ? 'c' : 'none';
}

/** Models that n trials can judge: "both" wants five of at least two targets. */
function candidates(trials: readonly TargetAndActual[], oneTarget: boolean): TurnModelName[] {
  if (oneTarget) return ['none', 'c'];
  return trials.length >= 5 ? ['none', 'c', 'k', 'both'] : ['none', 'c', 'k'];
}

/**
 * The model of a group's turning errors: none, a constant c, a scale error k, or both, by AICc.
 *
 * With one target angle c and k cannot be told apart; the error is then called a constant.
 * @param trials magnitudes; at least one
 * @param only leave no choice (for comparing groups by the same model)
 */
export function turnErrorModel(
  trials: readonly TargetAndActual[],
  only?: TurnModelName,
): TurnErrorModel {
  const n = trials.length;
  const targets = trials.map(({ target }) => target);
  const fromRad = Math.min(...targets);
  const toRad = Math.max(...targets);
  const oneTarget = toRad - fromRad < SAME_TARGET_RAD;
  const judged = (only === undefined ? candidates(trials, oneTarget) : [only]).flatMap((name) => {
    const fit = fitModel(name, trials);
    if (fit === null) return [];
    return [{ name, fit, score: aicc(fit.residualSumOfSquares, n, COLUMNS[name](1).length) }];
  });
  const lowest = Math.min(...judged.map(({ score }) => score));
  const small = n < 4 && only === undefined ? smallSampleChoice(trials) : undefined;
  // The first of equals is the simplest.
  const chosen =
    judged.find(({ name, score }) => (small === undefined ? score === lowest : name === small)) ??
    judged[0];
  if (chosen === undefined) return turnErrorModel(trials, 'none');
  const { name, fit } = chosen;
  const [first = 0, second = 0] = fit.coefficients;
  return {
    model: name,
    constantRad: name === 'c' || name === 'both' ? first : 0,
    scaleError: name === 'k' ? first : name === 'both' ? second : 0,
    residualSdRad: fit.residualSd,
    n,
    points: trials,
    fit,
    fromRad,
    toRad,
    oneTarget,
    aiccAbove: Object.fromEntries(
      judged
        .filter(({ score }) => Number.isFinite(score))
        .map(({ name: judgedName, score }) => [judgedName, score - lowest]),
    ),
  };
}

/** A robot that makes less than this of what it is told hardly turns. */
const LEAST_SHARE = 0.25;

/** What a turn told so much truly makes, by the model. */
export const turnedBy = (
  { constantRad, scaleError }: Pick<TurnErrorModel, 'constantRad' | 'scaleError'>,
  commandRad: number,
): number => constantRad + (1 + scaleError) * commandRad;

/**
 * Whether no command can be found: by the model the robot hardly turns, or turns the other way, at an
 * angle that was tried.
 */
export const hardlyTurns = (
  model: Pick<TurnErrorModel, 'constantRad' | 'scaleError' | 'fromRad' | 'toRad'>,
): boolean =>
  1 + model.scaleError < LEAST_SHARE ||
  [model.fromRad, model.toRad].some((told) => turnedBy(model, told) < LEAST_SHARE * told);

/** Command (magnitude) for a wanted angle: the model turned round. */
export const commandFor = (
  { constantRad, scaleError }: Pick<TurnErrorModel, 'constantRad' | 'scaleError'>,
  wantedRad: number,
): number => (wantedRad - constantRad) / (1 + scaleError);

/** What nobody measured, a scale error may be up to: see docs/methods.md. */
const UNTOLD_SCALE = 0.04;

/**
 * The scale error (95 %) that the trials cannot exclude, where the model has none: of one target angle
 * what sensors have at most; of several what a fit with a scale error leaves open, if that is less.
 */
function untoldScale({ model, oneTarget, points }: TurnErrorModel): number {
  if (model === 'k' || model === 'both') return 0;
  const both = oneTarget ? null : fitModel('both', points);
  if (both === null || both.degreesOfFreedom < 1) return UNTOLD_SCALE;
  const error = both.residualSd * Math.sqrt(both.unscaledCovariance[1]?.[1] ?? 0);
  const open = Math.abs(both.coefficients[1] ?? 0) + student975(both.degreesOfFreedom) * error;
  return Math.min(UNTOLD_SCALE, open);
}

/** How far a command lies outside the angles that were tried. */
const outside = ({ fromRad, toRad }: TurnErrorModel, commandRad: number): number =>
  Math.max(0, fromRad - commandRad, commandRad - toRad);

/**
 * Half width of the 95 % interval of the angle that one turn at this command will truly make. Outside the
 * angles that were tried it grows by what the trials cannot exclude.
 */
export function predictionHalfWidth(model: TurnErrorModel, commandRad: number): number {
  const { fit, residualSdRad, n, points } = model;
  if (fit.degreesOfFreedom < 1 || n < 2) return Infinity;
  const halfOf = (by: LinearFit, columns: number[]) =>
    student975(by.degreesOfFreedom) * by.residualSd * Math.sqrt(1 + leverage(by, columns));
  const half = halfOf({ ...fit, residualSd: residualSdRad }, COLUMNS[model.model](commandRad));
  const beyond = outside(model, commandRad);
  if (beyond === 0) return half;
  // A share of the angle alone has a constant that the trials cannot exclude.
  const both = model.model === 'k' ? fitModel('both', points) : null;
  const withConstant =
    both === null || both.degreesOfFreedom < 1 ? 0 : halfOf(both, COLUMNS.both(commandRad));
  return Math.max(half, withConstant) + untoldScale(model) * beyond;
}

/** Variance of the fitted error at a target, in units of the noise's. */
export const uncertaintyAt = (model: TurnErrorModel, targetRad: number): number =>
  leverage(model.fit, COLUMNS[model.model](targetRad));
