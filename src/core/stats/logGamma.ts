/** Coefficients of Lanczos' approximation with g = 7, n = 9. */
const LANCZOS = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313,
  -176.61502916214059, 12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6,
  1.5056327351493116e-7,
];

/** Logarithm of the gamma function of a positive number (Lanczos, SIAM J. Numer. Anal. B 1 (1964) 86). */
export function logGamma(x: number): number {
  const z = x - 1;
  const sum = LANCZOS.reduce((total, c, i) => total + (i === 0 ? c : c / (z + i)), 0);
  const t = z + 7.5;
  return 0.5 * Math.log(2 * Math.PI) + (z + 0.5) * Math.log(t) - t + Math.log(sum);
}
