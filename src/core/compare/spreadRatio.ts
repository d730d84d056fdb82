import { fUpperTail } from '../stats/fDistribution';
import type { Point } from '../geometry/pose';
import { randomStream, type RandomStream } from '../stats/random';
import { median } from '../stats/median';
import { mean } from '../stats/moments';

const DRAWN = 4_999;
const SEED = 8;

/** How far each point lies from the median of all, taken coordinate by coordinate. */
export function distancesFromMedian(points: readonly Point[]): number[] {
  const xM = median(points.map((point) => point.xM));
  const yM = median(points.map((point) => point.yM));
  return points.map((point) => Math.hypot(point.xM - xM, point.yM - yM));
}

const squares = (values: readonly number[], centre: number): number =>
  values.reduce((sum, value) => sum + (value - centre) ** 2, 0);

/** One-way analysis of variance of two groups: the share of F(1, n − 2) beyond what is seen; 1 where nothing varies. */
function anovaPValue(a: readonly number[], b: readonly number[]): number {
  const [meanA, meanB, all] = [mean(a), mean(b), mean([...a, ...b])];
  const between = a.length * (meanA - all) ** 2 + b.length * (meanB - all) ** 2;
  const within = squares(a, meanA) + squares(b, meanB);
  const degreesOfFreedom = a.length + b.length - 2;
  if (within === 0) return between === 0 ? 1 : 0;
  return fUpperTail((between / within) * degreesOfFreedom, 1, degreesOfFreedom);
}

interface LogMean {
  log: number;
  se: number;
}

/** Logarithm of a mean, and its standard error to first order, from sums of values and of their squares. */
function logMeanFrom(n: number, sum: number, sumOfSquares: number): LogMean {
  const centre = sum / n;
  const variance = Math.max(0, sumOfSquares - n * centre * centre) / (n - 1);
  return { log: Math.log(centre), se: Math.sqrt(variance / n) / centre };
}

function logMean(values: readonly number[]): LogMean {
  return logMeanFrom(
    values.length,
    values.reduce((sum, value) => sum + value, 0),
    values.reduce((sum, value) => sum + value * value, 0),
  );
}

/** The same of as many values drawn from them, each as often as it comes. */
function logMeanOfDrawn(values: readonly number[], random: RandomStream): LogMean {
  let [sum, sumOfSquares] = [0, 0];
  for (let i = 0; i < values.length; i += 1) {
    const value = values[Math.floor(random.uniform() * values.length)] ?? 0;
    sum += value;
    sumOfSquares += value * value;
  }
  return logMeanFrom(values.length, sum, sumOfSquares);
}

/**
 * An interval of 95 % for the ratio of two means, by the bootstrap of the studentized difference of their
 * logarithms: small samples are too sure of themselves without the studentizing.
 *
 * Source: Efron and Tibshirani, An Introduction to the Bootstrap (1993), section 12.5.
 */
function ratioInterval(a: readonly number[], b: readonly number[]): [number, number] {
  const random = randomStream(SEED, a.length + b.length, 'bootstrap of a ratio');
  const [ofA, ofB] = [logMean(a), logMean(b)];
  const seen = ofB.log - ofA.log;
  const se = Math.hypot(ofA.se, ofB.se);
  const students: number[] = [];
  for (let i = 0; i < DRAWN; i += 1) {
    const one = logMeanOfDrawn(a, random);
    const other = logMeanOfDrawn(b, random);
    const spread = Math.sqrt(one.se * one.se + other.se * other.se);
    if (spread > 0) students.push((other.log - one.log - seen) / spread);
  }
  const sorted = Float64Array.from(students).sort();
  const at = (share: number) => sorted[Math.floor(share * (sorted.length - 1))] ?? 0;
  return [Math.exp(seen - at(0.975) * se), Math.exp(seen - at(0.025) * se)];
}

export interface SpreadRatio {
  /** Mean distance from the series' own middle, b over a. */
  ratio: number;
  low95: number;
  high95: number;
  pValue: number;
  meanDistanceAM: number;
  meanDistanceBM: number;
}

/**
 * Whether two series spread differently: the distances of each end from its own series' coordinate-wise median,
 * compared by analysis of variance; their ratio with an interval by bootstrap.
 *
 * Source: Brown and Forsythe, J. Am. Stat. Assoc. 69 (1974) 364–367; in two dimensions Anderson, Biometrics 62
 * (2006) 245–253.
 * @param a at least three points, as `b`
 * @returns null where a series has no spread at all, so that there is no ratio
 */
export function spreadRatio(a: readonly Point[], b: readonly Point[]): SpreadRatio | null {
  const [distancesA, distancesB] = [distancesFromMedian(a), distancesFromMedian(b)];
  const [meanA, meanB] = [mean(distancesA), mean(distancesB)];
  if (!(meanA > 0) || !(meanB > 0)) return null;
  const [low95, high95] = ratioInterval(distancesA, distancesB);
  return {
    ratio: meanB / meanA,
    low95,
    high95,
    pValue: anovaPValue(distancesA, distancesB),
    meanDistanceAM: meanA,
    meanDistanceBM: meanB,
  };
}
