import { linearFit } from '../stats/linearFit';
import { estimateOf, tellApart, type Estimate } from './estimate';
import { sidewaysModel, type SidewaysModel, type SidewaysTrial } from './sidewaysModel';

/** A straight drive that was measured. */
export interface StraightTrial extends SidewaysTrial {
  commandedM: number;
  speedMPerS: number;
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

/**
 * What straight drives tell: effective wheel size (scale) and coast, how they scatter, and where they go to the side.
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
    sideways: sidewaysModel(trials),
  };
}
