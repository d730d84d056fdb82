import { inverseOfPositive } from './inverseOfPositive';

/** A least-squares fit y = X·β + noise. */
export interface LinearFit {
  coefficients: number[];
  residualSumOfSquares: number;
  /** n − p. */
  degreesOfFreedom: number;
  /** Standard deviation of the noise, with n − p; NaN when nothing is left to judge it by. */
  residualSd: number;
  /** (XᵀX)⁻¹: times the noise's variance, the covariance of the coefficients. */
  unscaledCovariance: number[][];
}

/**
 * Ordinary least squares by the normal equations, fit for the few well-scaled columns used here.
 *
 * Source: Seber and Lee, Linear Regression Analysis, 2nd ed., 2003, chapter 3.
 * @param rows one row of predictors per observation; no columns at all fits y = 0
 * @returns null when the columns cannot be told apart, or there are fewer rows than columns
 */
export function linearFit(
  rows: readonly (readonly number[])[],
  y: readonly number[],
): LinearFit | null {
  const p = rows[0]?.length ?? 0;
  const squares = (residuals: readonly number[]) =>
    residuals.reduce((sum, residual) => sum + residual * residual, 0);
  const finish = (coefficients: number[], unscaledCovariance: number[][]): LinearFit => {
    const residualSumOfSquares = squares(
      y.map((value, i) => value - dot(rows[i] ?? [], coefficients)),
    );
    const degreesOfFreedom = y.length - p;
    return {
      coefficients,
      residualSumOfSquares,
      degreesOfFreedom,
      residualSd:
        degreesOfFreedom > 0 ? Math.sqrt(residualSumOfSquares / degreesOfFreedom) : Number.NaN,
      unscaledCovariance,
    };
  };
  if (p === 0) return finish([], []);
  if (rows.length < p) return null;
  const column = (j: number) => rows.map((row) => row[j] ?? 0);
  const columns = Array.from({ length: p }, (_, j) => column(j));
  const scales = columns.map((values) => Math.sqrt(squares(values)));
  if (scales.some((scale) => scale === 0)) return null;
  const scaled = columns.map((values, j) => values.map((value) => value / (scales[j] ?? 1)));
  const inverted = inverseOfPositive(scaled.map((one) => scaled.map((other) => dot(one, other))));
  // Columns of length one: a determinant near 0 means that they point the same way.
  if (inverted === null || inverted.determinant < 1e-10) return null;
  const projected = scaled.map((values) => dot(values, y));
  return finish(
    inverted.inverse.map((row, j) => dot(row, projected) / (scales[j] ?? 1)),
    inverted.inverse.map((row, i) =>
      row.map((value, j) => value / ((scales[i] ?? 1) * (scales[j] ?? 1))),
    ),
  );
}

const dot = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((sum, value, i) => sum + value * (b[i] ?? 0), 0);

/** xᵀ(XᵀX)⁻¹x: the variance of the fitted mean at x, in units of the noise's variance. */
export const leverage = (fit: LinearFit, x: readonly number[]): number =>
  x.reduce((sum, value, i) => sum + value * dot(fit.unscaledCovariance[i] ?? [], x), 0);
