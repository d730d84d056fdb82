/** ln n!, exactly summed and kept. */
const logFactorials: number[] = [0];

function logFactorial(n: number): number {
  for (let i = logFactorials.length; i <= n; i += 1) {
    logFactorials.push((logFactorials[i - 1] ?? 0) + Math.log(i));
  }
  return logFactorials[n] ?? 0;
}

const logChoose = (n: number, k: number): number =>
  logFactorial(n) - logFactorial(k) - logFactorial(n - k);

/** Two tables are equally probable if they differ by rounding alone. */
const SAME = 1 + 1e-7;

/**
 * Fisher's exact test of a table of two by two, two-sided: the probability of all tables with the same margins
 * that are no more probable than this one.
 *
 * Source: Fisher, J. R. Stat. Soc. 98 (1935) 39–82; two-sided as in Agresti, Categorical Data Analysis (3rd ed.,
 * 2013), section 3.5.
 */
export function fisherExact(
  successesA: number,
  nA: number,
  successesB: number,
  nB: number,
): number {
  const successes = successesA + successesB;
  const whole = logChoose(nA + nB, successes);
  const probability = (inA: number) =>
    Math.exp(logChoose(nA, inA) + logChoose(nB, successes - inA) - whole);
  const seen = probability(successesA) * SAME;
  let sum = 0;
  for (let k = Math.max(0, successes - nB); k <= Math.min(nA, successes); k += 1) {
    const one = probability(k);
    if (one <= seen) sum += one;
  }
  return Math.min(1, sum);
}
