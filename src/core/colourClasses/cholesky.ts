/**
 * The lower triangle L of a symmetric, positive definite matrix A = L·Lᵀ, row by row.
 *
 * Source: Golub and Van Loan, Matrix Computations (4th ed., 2013), algorithm 4.2.1.
 * @returns NaN in it where the matrix is not positive definite
 */
export function cholesky(matrix: readonly (readonly number[])[]): number[][] {
  const lower: number[][] = [];
  for (const [i, row] of matrix.entries()) {
    const own: number[] = [];
    for (let j = 0; j <= i; j += 1) {
      const other = j === i ? own : (lower[j] ?? []);
      let rest = row[j] ?? 0;
      for (let k = 0; k < j; k += 1) rest -= (own[k] ?? 0) * (other[k] ?? 0);
      own.push(j === i ? Math.sqrt(rest) : rest / (other[j] ?? 0));
    }
    lower.push(own);
  }
  return lower;
}

/** xᵀ·A⁻¹·x by the lower triangle of A: the squared length of the solution of L·y = x. */
export function squaredBy(lower: readonly (readonly number[])[], x: readonly number[]): number {
  const y: number[] = [];
  let sum = 0;
  for (const [i, row] of lower.entries()) {
    let rest = x[i] ?? 0;
    for (let k = 0; k < i; k += 1) rest -= (row[k] ?? 0) * (y[k] ?? 0);
    const one = rest / (row[i] ?? 0);
    y.push(one);
    sum += one * one;
  }
  return sum;
}

export const logDeterminant = (lower: readonly (readonly number[])[]): number =>
  2 * lower.reduce((sum, row) => sum + Math.log(row.at(-1) ?? 0), 0);
