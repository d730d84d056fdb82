import { lengthStepM } from '../stats/instrumentStep';
import { estimateOf, roundedFit, type Estimate } from '../stats/roundedFit';
import { tellApart } from './tellApart';
import { sidewaysModel, type SidewaysModel, type SidewaysTrial } from './sidewaysModel';

/** A straight drive that was measured. */
export interface StraightTrial extends SidewaysTrial {
  commandedM: number;
  speedMPerS: number;
  /** The first drive after one the other way: the play of motors and gears is taken up before it goes. */
  afterReversal?: boolean;
}

export interface StraightModel {
  n: number;
  /** actual = scaleFactor · commanded + coast. */
  scaleFactor: Estimate;
  coastM: Estimate;
  /** So much less the first drive after one the other way goes; null where none was made, or nothing else. */
  playM: Estimate | null;
  /** Whether the distances tell scale and coast apart; else the coast is taken as 0. */
  areApart: boolean;
  /** Scatter of single drives; never less than what the tape's step may hide. NaN with nothing left to judge it by. */
  residualSdM: number;
  /** The step in which the tape was read. */
  stepM: number;
  /** At this distance an error of the scale and one of the coast are independent; half the interval of a drive's mean there. */
  midM: number;
  atMidHalf95M: number;
  /** Standard deviation per metre driven, as a random walk: of single drives, √m. */
  repeatabilityMPerSqrtM: number;
  /** Null where no sideways offset was measured twice. */
  sideways: SidewaysModel | null;
}

const NOT_FITTED: Estimate = { value: 0, low95: 0, high95: 0 };

/**
 * What straight drives tell: effective wheel size (scale) and coast, how they scatter, and where they go to the side.
 *
 * Source: least squares (Seber and Lee, Linear Regression Analysis, 2003, chapter 3), intervals by Student's t and
 * what the tape's step may hide (`roundedFit`).
 * @param trials metres; forward and backward drives are different models and are not to be mixed
 * @param readToM in which step the tape was read, as somebody said; null: as the readings show it
 * @returns null with fewer than two trials
 */
export function straightModel(
  trials: readonly StraightTrial[],
  readToM: number | null = null,
): StraightModel | null {
  if (trials.length < 2) return null;
  const stepM = lengthStepM(
    trials.map(({ actualM }) => actualM),
    readToM,
  );
  const plain = trials.filter(({ afterReversal = false }) => !afterReversal);
  const areApart = plain.length > 2 && tellApart(plain.map(({ commandedM }) => commandedM));
  const hasPlay = plain.length > 1 && plain.length < trials.length;
  const fit = roundedFit(
    trials.map(({ commandedM, afterReversal = false }) => [
      commandedM,
      ...(areApart ? [Math.sign(commandedM)] : []),
      ...(hasPlay ? [afterReversal ? -Math.sign(commandedM) : 0] : []),
    ]),
    trials.map(({ actualM }) => actualM),
    stepM,
  );
  if (fit === null) return null;
  const [[scaleVariance = 1, shared = 0] = []] = fit.unscaledCovariance;
  const midM = -shared / scaleVariance;
  const meanM = trials.reduce((sum, { actualM }) => sum + Math.abs(actualM), 0) / trials.length;
  return {
    n: trials.length,
    scaleFactor: estimateOf(fit, 0),
    coastM: areApart ? estimateOf(fit, 1) : NOT_FITTED,
    playM: hasPlay ? estimateOf(fit, areApart ? 2 : 1) : null,
    areApart,
    residualSdM: fit.scatterSd,
    stepM,
    midM,
    atMidHalf95M: fit.halfWidth95([midM, ...(areApart ? [1] : []), ...(hasPlay ? [0] : [])]),
    repeatabilityMPerSqrtM: fit.scatterSd / Math.sqrt(meanM),
    sideways: sidewaysModel(hasPlay ? plain : trials),
  };
}
