/** A residual below this (radians, metres, volts) is no scatter but the rounding of numbers. */
const LEAST_SD = 1e-6;

/**
 * Akaike's criterion for small samples, the noise's variance counted as a parameter.
 *
 * Source: Hurvich and Tsai, Biometrika 76 (1989) 297–307.
 * @param leastSd what the readings could scatter by without showing it
 */
export function aicc(
  residualSumOfSquares: number,
  n: number,
  meanParameters: number,
  leastSd = LEAST_SD,
): number {
  const parameters = meanParameters + 1;
  if (n - parameters - 1 <= 0) return Infinity;
  const variance = Math.max(residualSumOfSquares / n, leastSd ** 2);
  return (
    n * Math.log(variance) +
    2 * parameters +
    (2 * parameters * (parameters + 1)) / (n - parameters - 1)
  );
}
