import type { Point } from '../geometry/pose';
import type { BivariateT } from '../stats/bivariateT';
import { meanPoint, sampleCovariance, type Symmetric2 } from '../stats/covariance';
import { radiusDimensions, withoutChanceElongation } from '../stats/effectiveDimensions';

/** a·A + b·B. */
const sum = (a: number, A: Symmetric2, b: number, B: Symmetric2): Symmetric2 => ({
  xx: a * A.xx + b * B.xx,
  xy: a * A.xy + b * B.xy,
  yy: a * A.yy + b * B.yy,
});

/** v·vᵀ. */
const outer = ({ xM, yM }: Point): Symmetric2 => ({ xx: xM * xM, xy: xM * yM, yy: yM * yM });

const quadraticForm = ({ xx, xy, yy }: Symmetric2, { xM, yM }: Point): number =>
  xx * xM * xM + 2 * xy * xM * yM + yy * yM * yM;

/** The scatter as fitted, and where the next single run may end, which also allows for the fit. */
export interface Scatter {
  fitted: BivariateT;
  next: BivariateT;
}

/** The scatter about the mean of the runs so far, and as told from the target. */
export interface ScatterModel {
  mean: Point;
  aboutMean: Scatter;
  aboutTarget: Scatter;
  /** Standard error of the bias in its own direction. */
  biasErrorM: number;
}

/** The normal distribution is the t with endless degrees of freedom. */
const normal = (centre: Point, scale: Symmetric2): BivariateT => ({
  centre,
  scale,
  degreesOfFreedom: Infinity,
});

function aboutMean(mean: Point, covariance: Symmetric2, n: number): Scatter {
  const shape = withoutChanceElongation(covariance, n - 1);
  return {
    fitted: normal(mean, shape),
    next: {
      centre: mean,
      scale: sum(1 + 1 / n, shape, 0, shape),
      degreesOfFreedom: (n - 1) * radiusDimensions(shape, { xM: 0, yM: 0 }),
    },
  };
}

/**
 * The bias seen contains chance: its square is too large by tr S/n on average, and so is shrunk by
 * k = max(0, 1 − tr S/(n·bias²)). What is not bias is scatter: where k is small, the square of what
 * the bias loses joins the scatter and its degrees of freedom. As the bias comes to weigh more than
 * the scatter, the disc's edge lies across the bias, where only the scatter along it counts: the
 * shape as seen comes in place of the cautious one. An error of the mean across the bias does not
 * change the distance from the target, so that it widens the scale along the bias alone.
 */
function aboutTarget(target: Point, mean: Point, covariance: Symmetric2, n: number): Scatter {
  const bias = { xM: mean.xM - target.xM, yM: mean.yM - target.yM };
  const bias2 = bias.xM ** 2 + bias.yM ** 2;
  const trace = covariance.xx + covariance.yy;
  const keep = bias2 > 0 ? Math.max(0, 1 - trace / (n * bias2)) : 0;
  const chance = (1 - keep) ** 2;
  const degreesOfFreedom = n - 1 + chance;
  const scatter = sum(
    (n - 1) / degreesOfFreedom,
    covariance,
    (chance * n) / degreesOfFreedom,
    outer(bias),
  );
  const cautious = withoutChanceElongation(scatter, degreesOfFreedom);
  const weight = keep > 0 ? (keep * bias2) / (keep * bias2 + trace) : 0;
  const shape = sum(1 - weight, cautious, weight, scatter);
  const shrunk = { xM: keep * bias.xM, yM: keep * bias.yM };
  const errorAlong = keep > 0 ? (keep / n) * (quadraticForm(shape, bias) / bias2 / bias2) : 0;
  const centre = { xM: target.xM + shrunk.xM, yM: target.yM + shrunk.yM };
  return {
    fitted: normal(centre, shape),
    next: {
      centre,
      scale: sum(1, shape, errorAlong, outer(bias)),
      degreesOfFreedom: degreesOfFreedom * radiusDimensions(cautious, shrunk),
    },
  };
}

/**
 * Normal scatter as fitted to n ≥ 3 measured runs, and the predictive distribution of the next run
 * for discs.
 *
 * The latter is a bivariate t whose degrees of freedom are those of the disc's radius: exact for circles about the
 * mean when the cloud is a line (Student), and close to 95 % for other shapes; the shares that it
 * holds in simulation are in docs/methods.md. Shrinking after James and Stein (1961).
 * @returns null for fewer than three runs
 */
export function scatterModel(points: readonly Point[], target: Point): ScatterModel | null {
  const n = points.length;
  if (n < 3) return null;
  const mean = meanPoint(points);
  const covariance = sampleCovariance(points);
  const bias = { xM: mean.xM - target.xM, yM: mean.yM - target.yM };
  const bias2 = bias.xM ** 2 + bias.yM ** 2;
  const alongBias = bias2 > 0 ? quadraticForm(covariance, bias) / bias2 : covariance.xx;
  return {
    mean,
    aboutMean: aboutMean(mean, covariance, n),
    aboutTarget: aboutTarget(target, mean, covariance, n),
    biasErrorM: Math.sqrt(alongBias / n),
  };
}
