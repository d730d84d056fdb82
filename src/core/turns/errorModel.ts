import { aicc } from '../stats/aicc';
import { leverage } from '../stats/linearFit';
import { leastScatter, type RoundedFit } from '../stats/roundedFit';
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
  fit: RoundedFit;
  /** The predictors of the fit at a target. */
  columnsAt(target: number): number[];
  /** Half of the 95 % interval of a share that is known from elsewhere (the gyro's readings); 0 where the fit has it. */
  knownScaleHalf95: number;
  /** Whether a constant or a share is proved to differ from nothing, at 5 %. */
  isProved: boolean;
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
  /** The step in which angles were read; 0 or left out: none. */
  stepRad?: number | undefined;
  known?: KnownScale | undefined;
}

/** A share of the angle that is known from elsewhere, with half its interval. */
export interface KnownScale {
  scaleError: number;
  half95: number;
}

const COLUMNS: Record<TurnModelName, (target: number) => number[]> = {
  none: () => [],
  c: () => [1],
  k: (target) => [target],
  both: (target) => [1, target],
};

/** Two targets closer than this are one: nobody reads a protractor finer. */
const SAME_TARGET_RAD = 0.009;
const fitModel = (name: TurnModelName, trials: readonly TargetAndActual[]): RoundedFit | null =>
  fitErrors(trials, ({ target }) => COLUMNS[name](target));

/** The largest step in which one of them was read. */
export const stepOf = (trials: readonly TargetAndActual[]): number =>
  Math.max(0, ...trials.map(({ stepRad = 0 }) => stepRad));

/** What nobody who reads a protractor would call an error: half a degree. */
const SMALL_RAD = Math.PI / 360;

/** Whether a constant is shown to be none: its interval lies within half a degree. To prove none is no proof of it. */
function isShownSmall(trials: readonly TargetAndActual[]): boolean {
  const fit = fitModel('c', trials);
  const [constant = 0] = fit?.coefficients ?? [];
  return Math.abs(constant) + (fit?.halfWidth95([1]) ?? Infinity) <= SMALL_RAD;
}

/** Whether any of a fit's coefficients is proved to differ from 0. */
const isAnyProved = (fit: RoundedFit): boolean =>
  fit.coefficients.some(
    (value, i) =>
      Math.abs(value) > fit.halfWidth95(fit.coefficients.map((_, j) => Number(i === j))),
  );

/** Models that n trials can judge: "both" wants five of at least two targets. */
function candidates(trials: readonly TargetAndActual[], oneTarget: boolean): TurnModelName[] {
  if (oneTarget) return ['none', 'c'];
  return trials.length >= 5 ? ['none', 'c', 'k', 'both'] : ['none', 'c', 'k'];
}

/** With fewer trials no criterion can judge: a constant is what they show. */
const LEAST_TO_JUDGE = 4;

/**
 * Which model explains the trials best, by AICc: the first of equals is the simplest. "None" only where a constant is
 * shown to be small: what is not proved is not nothing.
 */
function chooseModel(
  trials: readonly TargetAndActual[],
  oneTarget: boolean,
): Pick<TurnErrorModel, 'aiccAbove'> & { name: TurnModelName } {
  const n = trials.length;
  const least = leastScatter(stepOf(trials)) ** 2 * n;
  const judged = candidates(trials, oneTarget).flatMap((name) => {
    const fit = fitModel(name, trials);
    if (fit === null) return [];
    const squares = Math.max(fit.residualSumOfSquares, least);
    return [{ name, score: aicc(squares, n, COLUMNS[name](1).length) }];
  });
  const lowest = Math.min(...judged.map(({ score }) => score));
  const best = judged.find(({ score }) => score === lowest)?.name ?? 'c';
  const name = n < LEAST_TO_JUDGE || best === 'none' ? (isShownSmall(trials) ? 'none' : 'c') : best;
  const aiccAbove = Object.fromEntries(
    judged
      .filter(({ score }) => Number.isFinite(score))
      .map(({ name: judgedName, score }) => [judgedName, score - lowest]),
  );
  return { name, aiccAbove };
}

/**
 * The model of a group's turning errors: none, a constant c, a scale error k, or both, by AICc.
 *
 * With one target angle c and k cannot be told apart; the error is then called a constant. Where the share is known
 * from the gyro's own readings, the constant alone is fitted.
 * @param trials magnitudes; at least one
 * @param only leave no choice (for comparing groups by the same model)
 */
export function turnErrorModel(
  trials: readonly TargetAndActual[],
  only?: TurnModelName,
): TurnErrorModel {
  const known = trials.every((one) => one.known !== undefined) ? (trials[0]?.known ?? null) : null;
  const targets = trials.map(({ target }) => target);
  const fromRad = Math.min(...targets);
  const toRad = Math.max(...targets);
  const oneTarget = toRad - fromRad < SAME_TARGET_RAD;
  const { name: chosen, aiccAbove }: ReturnType<typeof chooseModel> =
    known !== null
      ? { name: 'both' as const, aiccAbove: {} }
      : only !== undefined
        ? { name: only, aiccAbove: {} }
        : chooseModel(trials, oneTarget);
  const columnsAt = known === null ? COLUMNS[chosen] : COLUMNS.c;
  const fit = fitErrors(trials, ({ target }) => columnsAt(target), known?.scaleError ?? 0);
  if (fit === null) return turnErrorModel(trials, 'none');
  const [first = 0, second = 0] = fit.coefficients;
  return {
    model: chosen,
    constantRad: chosen === 'c' || chosen === 'both' ? first : 0,
    scaleError: known?.scaleError ?? (chosen === 'k' ? first : chosen === 'both' ? second : 0),
    residualSdRad: fit.scatterSd,
    n: trials.length,
    points: trials,
    fit,
    columnsAt,
    knownScaleHalf95: known?.half95 ?? 0,
    isProved: isAnyProved(fit) || (known !== null && Math.abs(known.scaleError) > known.half95),
    fromRad,
    toRad,
    oneTarget,
    aiccAbove,
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
  const open = Math.abs(both.coefficients[1] ?? 0) + both.halfWidth95([0, 1]);
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
  const { fit, n, points, columnsAt, knownScaleHalf95 } = model;
  if (fit.degreesOfFreedom < 1 || n < 2) return Infinity;
  const half = Math.hypot(
    fit.predictionHalfWidth95(columnsAt(commandRad)),
    knownScaleHalf95 * commandRad,
  );
  const beyond = outside(model, commandRad);
  if (beyond === 0) return half;
  // A share of the angle alone has a constant that the trials cannot exclude.
  const both = model.model === 'k' ? fitModel('both', points) : null;
  const withConstant =
    both === null || both.degreesOfFreedom < 1
      ? 0
      : both.predictionHalfWidth95(COLUMNS.both(commandRad));
  return Math.max(half, withConstant) + untoldScale(model) * beyond;
}

/** Half width of the 95 % interval of the mean error at a target. */
export const meanHalfWidth = ({ fit, columnsAt }: TurnErrorModel, target: number): number =>
  fit.halfWidth95(columnsAt(target));

/** Variance of the fitted error at a target, in units of the noise's. */
export const uncertaintyAt = (model: TurnErrorModel, targetRad: number): number =>
  leverage(model.fit, model.columnsAt(targetRad));
