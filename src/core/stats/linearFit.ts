import { inverse, Matrix } from 'ml-matrix';

/** A least-squares fit y = X·β + noise. */
export interface LinearFit {
  coefficients: number[];
  residualSumOfSquares: number;
  /** n − p. */
  freedom: number;
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
    const freedom = y.length - p;
    return {
      coefficients,
      residualSumOfSquares,
      freedom,
      residualSd: freedom > 0 ? Math.sqrt(residualSumOfSquares / freedom) : Number.NaN,
      unscaledCovariance,
    };
  };
  if (p === 0) return finish([], []);
  if (rows.length < p) return null;
  const x = new Matrix(rows.map((row) => [...row]));
  const scales = Array.from({ length: p }, (_, j) => Math.sqrt(squares(x.getColumn(j))));
  if (scales.some((scale) => scale === 0)) return null;
  const scaled = Matrix.div(new Matrix(x), 1);
  scales.forEach((scale, j) => scaled.mulColumn(j, 1 / scale));
  const normal = scaled.transpose().mmul(scaled);
  // Columns of length one: a determinant near 0 means that they point the same way.
  if (determinantOf(normal) < 1e-10) return null;
  const inverted = inverse(normal);
  const solution = inverted.mmul(scaled.transpose().mmul(Matrix.columnVector([...y])));
  return finish(
    scales.map((scale, j) => solution.get(j, 0) / scale),
    scales.map((rowScale, i) =>
      scales.map((columnScale, j) => inverted.get(i, j) / (rowScale * columnScale)),
    ),
  );
}

const dot = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((sum, value, i) => sum + value * (b[i] ?? 0), 0);

/** Determinant of a small symmetric matrix, by elimination. */
function determinantOf(matrix: Matrix): number {
  const a = matrix.to2DArray();
  let product = 1;
  for (let k = 0; k < a.length; k += 1) {
    const pivot = a[k]?.[k] ?? 0;
    if (pivot <= 0) return 0;
    product *= pivot;
    for (let i = k + 1; i < a.length; i += 1) {
      const factor = (a[i]?.[k] ?? 0) / pivot;
      for (let j = k; j < a.length; j += 1) {
        const row = a[i];
        if (row !== undefined) row[j] = (row[j] ?? 0) - factor * (a[k]?.[j] ?? 0);
      }
    }
  }
  return product;
}

/** xᵀ(XᵀX)⁻¹x: the variance of the fitted mean at x, in units of the noise's variance. */
export const leverage = (fit: LinearFit, x: readonly number[]): number =>
  x.reduce((sum, value, i) => sum + value * dot(fit.unscaledCovariance[i] ?? [], x), 0);
