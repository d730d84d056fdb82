import type { Point } from '../geometry/pose';
import { principalAxes, type Symmetric2 } from './covariance';

/**
 * How many of its two dimensions a sampled scatter really uses: (tr Σ)² / tr Σ², 1 for a line, 2 for
 * a circle.
 *
 * A small sample of a round cloud looks long by chance; both traces are therefore estimated without
 * bias (Srivastava, J. Japan Statist. Soc. 35 (2005) 251–272).
 * @param covariance a sample covariance, not nought
 * @param degreesOfFreedom its degrees of freedom
 */
export function effectiveDimensions({ xx, xy, yy }: Symmetric2, degreesOfFreedom: number): number {
  const traceSquared = (xx + yy) ** 2;
  const squareTrace = xx * xx + 2 * xy * xy + yy * yy;
  const squareTraceUnbiased =
    degreesOfFreedom * degreesOfFreedom * (squareTrace - traceSquared / degreesOfFreedom);
  const traceSquaredUnbiased =
    degreesOfFreedom * (degreesOfFreedom + 1) * traceSquared - 2 * degreesOfFreedom * squareTrace;
  if (squareTraceUnbiased <= 0) return 2;
  return Math.min(2, Math.max(1, traceSquaredUnbiased / squareTraceUnbiased));
}

/** The covariance with the same trace whose axes differ only as far as the sample proves. */
export function withoutChanceElongation(
  covariance: Symmetric2,
  degreesOfFreedom: number,
): Symmetric2 {
  const { major, minor } = principalAxes(covariance);
  if (major === 0) return covariance;
  const middle = (major + minor) / 2;
  const seen = (major - minor) / (major + minor);
  const proved = Math.sqrt(2 / effectiveDimensions(covariance, degreesOfFreedom) - 1);
  const keep = seen > proved ? proved / seen : 1;
  return {
    xx: middle + keep * (covariance.xx - middle),
    xy: keep * covariance.xy,
    yy: middle + keep * (covariance.yy - middle),
  };
}

/** The normal quantile at 95 %: the share for which the radius is wanted. */
const Z95 = 1.645;

/**
 * How many independent estimates of a variance the radius of a 95 % disc rests on, from 1 to about 2.
 *
 * The squared distance from the disc's centre has mean b² + tr Σ and variance 2 tr Σ² + 4 bᵀΣb, so
 * that r² ≈ mean + 1.645·sd, with the slope G = I + 1.645·(2Σ + 2bbᵀ)/sd in Σ. Satterthwaite's rule
 * (Biometrics 2 (1946) 110) for tr GS, S a Wishart matrix, gives (tr GΣ)² / tr (GΣ)²: 2 for a circle
 * about its mean, 1 for a line, nearly 1 for a large bias along either axis. A small sample looks
 * longer than its cloud even after correction; the 0.1 makes up for that (shares held in simulation
 * at n = 5: 0.941 to 0.956 about the mean over all shapes; without it 0.942 to 0.960).
 * @param bias centre of the scatter, told from the disc's centre
 */
export function radiusDimensions({ xx, xy, yy }: Symmetric2, bias: Point): number {
  const { xM: x, yM: y } = bias;
  const variance =
    2 * (xx * xx + 2 * xy * xy + yy * yy) + 4 * (x * x * xx + 2 * x * y * xy + y * y * yy);
  if (variance === 0) return 1;
  const steep = (2 * Z95) / Math.sqrt(variance);
  const gxx = 1 + steep * (xx + x * x);
  const gxy = steep * (xy + x * y);
  const gyy = 1 + steep * (yy + y * y);
  const a = gxx * xx + gxy * xy;
  const b = gxx * xy + gxy * yy;
  const c = gxy * xx + gyy * xy;
  const d = gxy * xy + gyy * yy;
  const dimensions = (a + d) ** 2 / (a * a + 2 * b * c + d * d);
  return dimensions * (1 + 0.1 * (dimensions - 1));
}
