import type { SuccessRate } from '../stats/wilson';

/**
 * The difference of two success rates, b − a, with its interval of 95 %: Newcombe's hybrid of the two score
 * intervals.
 *
 * Source: Newcombe, Stat. Med. 17 (1998) 873–890, method 10.
 */
export function rateDifference(
  a: SuccessRate,
  b: SuccessRate,
): { difference: number; low95: number; high95: number } {
  const difference = b.rate - a.rate;
  return {
    difference,
    low95: difference - Math.hypot(b.rate - b.low95, a.high95 - a.rate),
    high95: difference + Math.hypot(b.high95 - b.rate, a.rate - a.low95),
  };
}
