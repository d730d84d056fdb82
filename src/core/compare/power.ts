import { fQuantile } from '../stats/fDistribution';
import { noncentralFCdf } from '../stats/noncentralF';
import { normalCdf } from '../stats/normalCdf';
import { fisherExact } from './fisherExact';

/** A comparison asks three questions: whether the aim, the spread and the success differ. */
const QUESTIONS = 3;

/** The level of each single question, so that all together cry wolf no more often than `alpha` (Bonferroni). */
export const levelOf = (alpha: number): number => alpha / QUESTIONS;

/** The alpha over all questions at which each of them alone is judged at `level`: for a plan that asks one only. */
export const alphaOfOne = (level: number): number => level * QUESTIONS;

/** The chance that F(d1, d2) with such a noncentrality is beyond its limit. */
const beyond = (alpha: number, d1: number, d2: number, noncentrality: number): number =>
  1 - noncentralFCdf(fQuantile(1 - levelOf(alpha), d1, d2), d1, d2, noncentrality);

/**
 * The chance that two series of `n` measured ends show a difference of their means, in standard deviations of
 * single runs (of one coordinate, the same in both): Hotelling's two-sample test in two dimensions.
 */
export const powerOfShift = (n: number, differenceSds: number, alpha: number): number =>
  beyond(alpha, 2, 2 * n - 3, (n / 2) * differenceSds ** 2);

/** Square of the coefficient of variation of a distance from the middle of a normal cloud (Rayleigh). */
const RELATIVE_VARIANCE = 4 / Math.PI - 1;

/** What it costs, in runs, that the middle of each series is found from the same runs: as simulated pairs have it. */
const LOST_TO_MIDDLE = 1.5;

/**
 * The chance that two series of `n` measured ends show that one spreads `ratio` as far as the other: the analysis
 * of variance of distances whose standard deviation is 0.52 of their mean.
 */
export const powerOfRatio = (n: number, ratio: number, alpha: number): number =>
  beyond(
    alpha,
    1,
    2 * n - 2,
    ((n - LOST_TO_MIDDLE) * (1 - ratio) ** 2) / (RELATIVE_VARIANCE * (1 + ratio * ratio)),
  );

function binomial(n: number, rate: number): number[] {
  const shares = [Math.pow(1 - rate, n)];
  // From the likelier end, so that nothing underflows where a rate is one.
  if (rate === 1) return Array.from({ length: n + 1 }, (_, k) => (k === n ? 1 : 0));
  for (let k = 1; k <= n; k += 1) {
    shares.push(((shares[k - 1] ?? 0) * (n - k + 1) * rate) / (k * (1 - rate)));
  }
  return shares;
}

/** Tables less probable than this are left out: together they are below a millionth. */
const NEGLIGIBLE = 1e-10;

/** Up to here every table is looked at; beyond, the normal distribution is as near as matters. */
const MOST_EXACT = 60;

/**
 * The same for many runs, with the correction that Fisher's test needs for counting whole runs.
 *
 * Source: Casagrande, Pike and Smith, Biometrics 34 (1978) 483–486.
 */
function powerOfRatesByNormal(n: number, rateA: number, rateB: number, alpha: number): number {
  const middle = (rateA + rateB) / 2;
  const limit = Math.sqrt(fQuantile(1 - levelOf(alpha), 1, Number.MAX_SAFE_INTEGER));
  const unlike = Math.sqrt(rateA * (1 - rateA) + rateB * (1 - rateB));
  const alike = Math.sqrt(2 * middle * (1 - middle));
  const far = Math.abs(rateB - rateA) - 1 / n;
  return normalCdf((far * Math.sqrt(n) - limit * alike) / Math.max(unlike, 1e-6), 0, 1);
}

/** The chance that two series of `n` runs show such a difference of their success, by Fisher's exact test. */
export function powerOfRates(n: number, rateA: number, rateB: number, alpha: number): number {
  if (n > MOST_EXACT) return powerOfRatesByNormal(n, rateA, rateB, alpha);
  const [ofA, ofB] = [binomial(n, rateA), binomial(n, rateB)];
  const level = levelOf(alpha);
  let power = 0;
  for (const [inA, a] of ofA.entries()) {
    if (a < NEGLIGIBLE) continue;
    for (const [inB, b] of ofB.entries()) {
      if (b < NEGLIGIBLE || (inB - inA) * (rateB - rateA) <= 0) continue;
      if (fisherExact(inA, n, inB, n) <= level) power += a * b;
    }
  }
  return power;
}
