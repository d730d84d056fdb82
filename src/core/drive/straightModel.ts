import { linearFit, type LinearFit } from '../stats/linearFit';
import { student975 } from '../stats/student';

/** A straight drive that was measured. */
export interface StraightTrial {
  commandedM: number;
  actualM: number;
  /** To the left positive; null where nobody measured it. */
  sidewaysM: number | null;
  speedMPerS: number;
}

/** An estimate with its 95 % interval. */
export interface Estimate {
  value: number;
  low95: number;
  high95: number;
}

/** Where the sideways offset comes from; a term that the distances cannot tell from the other is 0. */
export interface SidewaysModel {
  startHeadingErrorRad: Estimate;
  trimRadPerM: Estimate;
  /** Whether the distances tell both terms apart. */
  areApart: boolean;
  residualSdM: number;
}

export interface StraightModel {
  n: number;
  /** actual = scaleFactor · commanded + coast. */
  scaleFactor: Estimate;
  coastM: Estimate;
  /** Whether the distances tell scale and coast apart; else the coast is taken as 0. */
  areApart: boolean;
  residualSdM: number;
  /** Standard deviation per metre driven, as a random walk: of single drives, √m. */
  repeatabilityMPerSqrtM: number;
  /** Null where no sideways offset was measured twice. */
  sideways: SidewaysModel | null;
}

/** Distances that differ by less than this factor tell no offset from a scale. */
const LEAST_RATIO = 1.5;

const tellApart = (distances: readonly number[]): boolean => {
  const sizes = distances.map(Math.abs);
  return Math.max(...sizes) >= LEAST_RATIO * Math.min(...sizes) && new Set(sizes).size > 1;
};

/** A coefficient of a fit with its interval; one that was not fitted is exactly 0. */
function estimateOf(fit: LinearFit, index: number): Estimate {
  const value = fit.coefficients[index];
  if (value === undefined) return { value: 0, low95: 0, high95: 0 };
  const variance = fit.unscaledCovariance[index]?.[index] ?? Number.NaN;
  const half =
    fit.degreesOfFreedom > 0
      ? student975(fit.degreesOfFreedom) * fit.residualSd * Math.sqrt(variance)
      : Infinity;
  return { value, low95: value - half, high95: value + half };
}

function sidewaysOf(trials: readonly StraightTrial[]): SidewaysModel | null {
  const measured = trials.flatMap(({ actualM, sidewaysM }) =>
    sidewaysM === null ? [] : [{ sM: actualM, sidewaysM }],
  );
  if (measured.length < 2) return null;
  const areApart = measured.length > 2 && tellApart(measured.map(({ sM }) => sM));
  const fit = linearFit(
    measured.map(({ sM }) => (areApart ? [sM, sM ** 2 / 2] : [sM])),
    measured.map(({ sidewaysM }) => sidewaysM),
  );
  if (fit === null) return null;
  return {
    startHeadingErrorRad: estimateOf(fit, 0),
    trimRadPerM: estimateOf(fit, 1),
    areApart,
    residualSdM: fit.residualSd,
  };
}

/**
 * What straight drives tell: effective wheel size (scale) and coast, and where the sideways offset comes from: a
 * heading that is wrong from the start grows with the distance s, a pull to one side with s²/2.
 *
 * Source: least squares (Seber and Lee, Linear Regression Analysis, 2003, chapter 3), intervals by Student's t.
 * @param trials metres; forward and backward drives are different models and are not to be mixed
 * @returns null with fewer than two trials
 */
export function straightModel(trials: readonly StraightTrial[]): StraightModel | null {
  if (trials.length < 2) return null;
  const areApart = trials.length > 2 && tellApart(trials.map(({ commandedM }) => commandedM));
  const fit = linearFit(
    trials.map(({ commandedM }) => (areApart ? [commandedM, Math.sign(commandedM)] : [commandedM])),
    trials.map(({ actualM }) => actualM),
  );
  if (fit === null) return null;
  const meanM = trials.reduce((sum, { actualM }) => sum + Math.abs(actualM), 0) / trials.length;
  return {
    n: trials.length,
    scaleFactor: estimateOf(fit, 0),
    coastM: estimateOf(fit, 1),
    areApart,
    residualSdM: fit.residualSd,
    repeatabilityMPerSqrtM: fit.residualSd / Math.sqrt(meanM),
    sideways: sidewaysOf(trials),
  };
}
