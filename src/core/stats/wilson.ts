/** The two-sided 95 % point of the standard normal distribution. */
const Z95 = 1.959963984540054;

export interface SuccessRate {
  n: number;
  successes: number;
  rate: number;
  low95: number;
  high95: number;
}

/**
 * A success rate with its Wilson score interval of 95 %.
 *
 * Source: E. B. Wilson, Probable inference, the law of succession, and statistical inference,
 * J. Am. Stat. Assoc. 22 (1927) 209–212.
 * @returns null for no trials
 */
export function wilson(successes: number, n: number): SuccessRate | null {
  if (n === 0) return null;
  const rate = successes / n;
  const z2 = Z95 * Z95;
  const centre = (rate + z2 / (2 * n)) / (1 + z2 / n);
  const half = (Z95 / (1 + z2 / n)) * Math.sqrt((rate * (1 - rate)) / n + z2 / (4 * n * n));
  return {
    n,
    successes,
    rate,
    low95: successes === 0 ? 0 : Math.max(0, centre - half),
    high95: successes === n ? 1 : Math.min(1, centre + half),
  };
}
