import type { Point } from '../geometry/pose';
import { mean } from './moments';

/** A symmetric 2 × 2 matrix. */
export interface Symmetric2 {
  xx: number;
  xy: number;
  yy: number;
}

/** Mean of points. */
export const meanPoint = (points: readonly Point[]): Point => ({
  xM: mean(points.map((point) => point.xM)),
  yM: mean(points.map((point) => point.yM)),
});

/** Sample covariance (n − 1) of two or more points. */
export function sampleCovariance(points: readonly Point[]): Symmetric2 {
  const centre = meanPoint(points);
  const sum = { xx: 0, xy: 0, yy: 0 };
  for (const { xM, yM } of points) {
    sum.xx += (xM - centre.xM) ** 2;
    sum.xy += (xM - centre.xM) * (yM - centre.yM);
    sum.yy += (yM - centre.yM) ** 2;
  }
  const degreesOfFreedom = points.length - 1;
  return {
    xx: sum.xx / degreesOfFreedom,
    xy: sum.xy / degreesOfFreedom,
    yy: sum.yy / degreesOfFreedom,
  };
}

/** Eigenvalues (major ≥ minor ≥ 0) and the angle of the major axis from +x, in (−π/2, π/2]. */
export function principalAxes(matrix: Symmetric2): {
  major: number;
  minor: number;
  angleRad: number;
} {
  const middle = (matrix.xx + matrix.yy) / 2;
  const half = Math.hypot((matrix.xx - matrix.yy) / 2, matrix.xy);
  const angle = Math.atan2(2 * matrix.xy, matrix.xx - matrix.yy) / 2;
  return {
    major: middle + half,
    minor: Math.max(0, middle - half),
    angleRad: angle <= -Math.PI / 2 ? angle + Math.PI : angle,
  };
}

/** vᵀ M⁻¹ v, or Infinity where the matrix has no inverse. */
export function mahalanobisSquared(matrix: Symmetric2, vector: Point): number {
  const determinant = matrix.xx * matrix.yy - matrix.xy ** 2;
  if (!(determinant > 1e-12 * Math.max(matrix.xx, matrix.yy) ** 2)) return Infinity;
  const { xM, yM } = vector;
  return (matrix.yy * xM * xM - 2 * matrix.xy * xM * yM + matrix.xx * yM * yM) / determinant;
}
