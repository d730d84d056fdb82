import { roundedFit, type RoundedFit } from '../stats/roundedFit';
import { mean } from '../stats/moments';
import type { TargetAndActual } from './errorModel';

/** Single turns scatter by about this, reading included, where few tell it: one degree. */
const USUAL_SD_RAD = Math.PI / 180;
/** How many turns it weighs as. */
const USUAL_WEIGHT = 4;

/** How turns scatter whose angle was read as usual: about the mean of each target, mixed with the usual where they are few. */
function usualSd(trials: readonly TargetAndActual[]): number {
  const usual = trials.filter(({ readingSdRad }) => !readingSdRad);
  const targets = [...new Set(usual.map(({ target }) => target))];
  const degreesOfFreedom = usual.length - targets.length;
  const squares = targets.flatMap((target) => {
    const errors = usual.filter((one) => one.target === target).map(({ actual }) => actual);
    const middle = mean(errors);
    return errors.map((error) => (error - middle) ** 2);
  });
  const sum = squares.reduce((total, one) => total + one, 0);
  return Math.sqrt((sum + USUAL_WEIGHT * USUAL_SD_RAD ** 2) / (degreesOfFreedom + USUAL_WEIGHT));
}

/**
 * How much each turn weighs: an angle that was judged by eye, give or take some degrees, counts by the variance of
 * an ordinary turn over its own, its reading included. All weigh 1 where none was judged so.
 */
export function weightsOfTurns(trials: readonly TargetAndActual[]): number[] {
  if (trials.every(({ readingSdRad }) => !readingSdRad)) return trials.map(() => 1);
  const usual = usualSd(trials) ** 2;
  return trials.map(({ readingSdRad = 0 }) => usual / (usual + readingSdRad ** 2));
}

/**
 * Least squares of the turns' errors |actual| − |target|, each by its weight, and with the step in which it was read.
 *
 * Source: weighted least squares, Seber and Lee, Linear Regression Analysis, 2nd ed., 2003, section 3.10.
 * @param knownScale a share of the target that is taken out first
 */
export function fitErrors<T extends TargetAndActual>(
  trials: readonly T[],
  columns: (trial: T) => number[],
  knownScale = 0,
): RoundedFit | null {
  const roots = weightsOfTurns(trials).map(Math.sqrt);
  return roundedFit(
    trials.map((trial, i) => columns(trial).map((value) => value * (roots[i] ?? 1))),
    trials.map(({ target, actual }, i) => (actual - (1 + knownScale) * target) * (roots[i] ?? 1)),
    trials.map(({ stepRad = 0 }, i) => stepRad * (roots[i] ?? 1)),
    trials.map(({ target }) => String(target)),
  );
}
