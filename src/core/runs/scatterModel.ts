import type { Point } from '../geometry/pose';
import { meanPoint, principalAxes, sampleCovariance, type Symmetric2 } from '../stats/covariance';
import type { BivariateT } from '../stats/bivariateT';

const scaled = (matrix: Symmetric2, factor: number): Symmetric2 => ({
  xx: matrix.xx * factor,
  xy: matrix.xy * factor,
  yy: matrix.yy * factor,
});

/**
 * How many of the two dimensions the scatter really uses: (tr Σ)² / tr Σ², 1 for a line, 2 for a circle.
 *
 * A small sample of a round cloud looks long by chance; both traces are therefore estimated without
 * bias from S with m degrees of freedom (Srivastava, J. Japan Statist. Soc. 35 (2005) 251–272).
 */
function effectiveDimensions(covariance: Symmetric2, m: number): number {
  const { xx, xy, yy } = covariance;
  const traceSquared = (xx + yy) ** 2;
  const squareTrace = xx * xx + 2 * xy * xy + yy * yy;
  const squareTraceUnbiased = m * m * (squareTrace - traceSquared / m);
  const traceSquaredUnbiased = m * (m + 1) * traceSquared - 2 * m * squareTrace;
  if (squareTraceUnbiased <= 0) return 2;
  return Math.min(2, Math.max(1, traceSquaredUnbiased / squareTraceUnbiased));
}

/** The covariance with the same trace whose axes differ only as far as the sample proves. */
function withoutChanceElongation(covariance: Symmetric2, dimensions: number): Symmetric2 {
  const { major, minor } = principalAxes(covariance);
  const middle = (major + minor) / 2;
  const seen = (major - minor) / (major + minor);
  const proved = Math.sqrt(2 / dimensions - 1);
  const keep = seen > proved ? proved / seen : 1;
  return {
    xx: middle + keep * (covariance.xx - middle),
    xy: keep * covariance.xy,
    yy: middle + keep * (covariance.yy - middle),
  };
}

/** Where the next single run may end: about the mean of the runs so far, and told from the target. */
export interface ScatterModel {
  mean: Point;
  aboutMean: BivariateT;
  aboutTarget: BivariateT;
}

/**
 * Predictive distribution of the next run after n ≥ 3 measured runs with normal scatter.
 *
 * A bivariate t with S(1 + 1/n) as its scale and ν = m·f degrees of freedom, m = n − 1 and f the
 * effective dimensions: exact for circles about the mean when the cloud is round (Hotelling) or a
 * line (Student), and Satterthwaite's approximation (Biometrics 2 (1946) 110) between.
 *
 * About the target, the bias seen contains chance: its square is too large by tr S/n on average. It
 * is shrunk by k = max(0, 1 − c·tr S/(n·bias²)), after James and Stein (1961); c = 1 + 2.5/n was
 * chosen so that simulated coverage stays nearest to 95 % at biases of none to four standard deviations.
 * @returns null for fewer than three runs
 */
export function scatterModel(points: readonly Point[], target: Point): ScatterModel | null {
  const n = points.length;
  if (n < 3) return null;
  const mean = meanPoint(points);
  const covariance = sampleCovariance(points);
  const trace = covariance.xx + covariance.yy;
  const dimensions = trace > 0 ? effectiveDimensions(covariance, n - 1) : 2;
  const freedom = (n - 1) * dimensions;
  const scale = trace > 0 ? withoutChanceElongation(covariance, dimensions) : covariance;
  const bias = { xM: mean.xM - target.xM, yM: mean.yM - target.yM };
  const bias2 = bias.xM ** 2 + bias.yM ** 2;
  const keep = bias2 > 0 ? Math.max(0, 1 - ((1 + 2.5 / n) * trace) / (n * bias2)) : 0;
  const centre = { xM: target.xM + keep * bias.xM, yM: target.yM + keep * bias.yM };
  return {
    mean,
    aboutMean: { centre: mean, scale: scaled(scale, 1 + 1 / n), freedom },
    aboutTarget: { centre, scale: scaled(scale, 1 + keep / n), freedom },
  };
}
