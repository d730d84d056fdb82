/**
 * Inverse and determinant of a small symmetric, positive definite matrix, by Gauss-Jordan elimination, which
 * needs no exchange of rows for such a matrix.
 *
 * Source: Golub and Van Loan, Matrix Computations, 4th ed., 2013, section 4.2.
 * @returns null when it is not positive definite
 */
export function inverseOfPositive(
  matrix: readonly (readonly number[])[],
): { inverse: number[][]; determinant: number } | null {
  const n = matrix.length;
  // The matrix with the unit matrix beside it; what is done to both leaves the inverse there.
  let rows = matrix.map((row, i) => [...row, ...row.map((_, j) => (i === j ? 1 : 0))]);
  let determinant = 1;
  for (let k = 0; k < n; k += 1) {
    const pivot = rows[k]?.[k] ?? 0;
    if (!(pivot > 0)) return null;
    determinant *= pivot;
    const pivotRow = (rows[k] ?? []).map((value) => value / pivot);
    rows = rows.map((row, i) => {
      if (i === k) return pivotRow;
      const factor = row[k] ?? 0;
      return row.map((value, j) => value - factor * (pivotRow[j] ?? 0));
    });
  }
  return { inverse: rows.map((row) => row.slice(n)), determinant };
}
