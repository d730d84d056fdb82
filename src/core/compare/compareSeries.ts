import type { Point, Pose } from '../geometry/pose';
import type { MeasuredRun } from '../runs/consistency';
import { meanPoint, sampleCovariance } from '../stats/covariance';
import { wilson, type SuccessRate } from '../stats/wilson';
import { fisherExact } from './fisherExact';
import { holm } from './holm';
import { meanShift } from './meanShift';
import { rateDifference } from './newcombe';
import { MOST_PER_SERIES, runsNeeded, type Difference } from './runsNeeded';
import { distancesFromMedian, spreadRatio, type SpreadRatio } from './spreadRatio';

/** The three questions of a comparison. */
export type Question = 'bias' | 'spread' | 'success';

export type Answer = 'helped' | 'hurt' | 'no-difference-shown';

/** Of one of the two series. */
export interface Side {
  /** Runs in all, those with a measured end, those of which it is known whether they worked. */
  n: number;
  nPose: number;
  nSuccess: number;
  /** Mean offset from the target. */
  biasM: Point;
  /** Mean distance from their own middle. */
  meanDistanceM: number;
  success: SuccessRate | null;
}

export interface Comparison {
  a: Side;
  b: Side;
  /** Whether the means differ, and by how much: b − a, with half the width of its 95 % region. */
  bias: { pValue: number; shiftM: Point; shiftRadiusM: number };
  /** Null where a series has no spread at all. */
  spread: SpreadRatio | null;
  success: { difference: number; low95: number; high95: number; pValue: number } | null;
  /** What each question looks like, whether or not it is shown. */
  looked: Record<Question, Answer>;
  /** What each question says by itself, at a level at which all of them cry wolf in 5 of 100 comparisons. */
  answers: Record<Question, Answer>;
  verdict: Answer;
  /** So many more runs in each series would settle the question that is nearest to it, if it is as it looks. */
  moreRuns?: { question: Question; perSeries: number };
}

const ALPHA = 0.05;
export const LEAST_ENDS = 3;

const isPlaced = (run: MeasuredRun): run is MeasuredRun & Point =>
  typeof run.xM === 'number' && typeof run.yM === 'number';

const placesOf = (runs: readonly MeasuredRun[]): Point[] =>
  runs.filter(isPlaced).map(({ xM, yM }) => ({ xM, yM }));

function sideOf(runs: readonly MeasuredRun[], points: readonly Point[], target: Pose): Side {
  const judged = runs.filter(({ success }) => typeof success === 'boolean');
  const centre = meanPoint(points);
  const distances = distancesFromMedian(points);
  return {
    n: runs.length,
    nPose: points.length,
    nSuccess: judged.length,
    biasM: { xM: centre.xM - target.xM, yM: centre.yM - target.yM },
    meanDistanceM: distances.reduce((sum, one) => sum + one, 0) / distances.length,
    success: wilson(judged.filter(({ success }) => success === true).length, judged.length),
  };
}

const size = ({ xM, yM }: Point): number => Math.hypot(xM, yM);

/** The better of two by a figure that should be small. */
const smallerIsBetter = (a: number, b: number): Answer =>
  b < a ? 'helped' : b > a ? 'hurt' : 'no-difference-shown';

/** Mean squared distance from the target: what aim and spread come to together. */
function squaredMiss(points: readonly Point[], target: Pose): number {
  const squares = points.map(({ xM, yM }) => (xM - target.xM) ** 2 + (yM - target.yM) ** 2);
  return squares.reduce((sum, one) => sum + one, 0) / squares.length;
}

/** What all three answers come to: what works counts first, then how far from the target the runs end. */
function verdictOf(answers: Record<Question, Answer>, byMiss: Answer): Answer {
  const shown = Object.values(answers).filter((answer) => answer !== 'no-difference-shown');
  const [first] = shown;
  if (first === undefined) return 'no-difference-shown';
  if (shown.every((answer) => answer === first)) return first;
  return answers.success === 'no-difference-shown' ? byMiss : answers.success;
}

/** Half the width of the 95 % region of the difference of the means, as a circle of the same area (large samples). */
function shiftRadius(a: readonly Point[], b: readonly Point[]): number {
  const [ofA, ofB] = [sampleCovariance(a), sampleCovariance(b)];
  const xx = ofA.xx / a.length + ofB.xx / b.length;
  const yy = ofA.yy / a.length + ofB.yy / b.length;
  const xy = ofA.xy / a.length + ofB.xy / b.length;
  const CHI2_95_2D = 5.991464547107979;
  return Math.sqrt(CHI2_95_2D * Math.sqrt(Math.max(0, xx * yy - xy * xy)));
}

/** The differences as they look now, for how many runs would show them. */
function looks(
  a: readonly Point[],
  b: readonly Point[],
  { bias, spread, success, ...sides }: Pick<Comparison, 'a' | 'b' | 'bias' | 'spread' | 'success'>,
): [Question, Difference][] {
  const variance = [sampleCovariance(a), sampleCovariance(b)]
    .map(({ xx, yy }) => (xx + yy) / 2)
    .reduce((sum, one) => sum + one / 2, 0);
  const list: [Question, Difference][] = [];
  if (variance > 0) {
    list.push(['bias', { sdM: Math.sqrt(variance), differenceM: size(bias.shiftM) }]);
  }
  if (spread !== null) list.push(['spread', { ratio: spread.ratio }]);
  const [rateA, rateB] = [sides.a.success?.rate, sides.b.success?.rate];
  if (success !== null && rateA !== undefined && rateB !== undefined && rateA !== rateB) {
    list.push(['success', { rateA, rateB }]);
  }
  return list;
}

function nearest(
  a: readonly Point[],
  b: readonly Point[],
  found: Pick<Comparison, 'a' | 'b' | 'bias' | 'spread' | 'success' | 'answers'>,
): Pick<Comparison, 'moreRuns'> {
  const least = { bias: Math.min(a.length, b.length), spread: Math.min(a.length, b.length) };
  const so = { ...least, success: Math.min(found.a.nSuccess, found.b.nSuccess) };
  const open = looks(a, b, found)
    .filter(([question]) => found.answers[question] === 'no-difference-shown')
    .flatMap(([question, difference]) => {
      const needed = runsNeeded(difference);
      return needed === null || needed > MOST_PER_SERIES
        ? []
        : [{ question, perSeries: Math.max(1, needed - so[question]) }];
    })
    .toSorted((one, other) => one.perSeries - other.perSeries);
  const [first] = open;
  return first === undefined ? {} : { moreRuns: first };
}

/**
 * Whether one series differs from another: its aim (Hotelling, by permutation), its spread (Brown and Forsythe on
 * distances from each series' own middle), its success (Fisher). The three are judged together by Holm's rule, so
 * that where nothing differs a difference is "shown" in at most 5 of 100 comparisons.
 *
 * Runs without a measured end, or of which nobody knows whether they worked, are left out of what needs that and
 * stay counted. A mean that differs helped if it lies nearer to the target.
 *
 * @param a before, `b` after; offsets in the frame of `target`
 * @returns null for fewer than three measured ends in either
 */
export function compareSeries(
  a: readonly MeasuredRun[],
  b: readonly MeasuredRun[],
  target: Pose,
): Comparison | null {
  const [pointsA, pointsB] = [placesOf(a), placesOf(b)];
  if (Math.min(pointsA.length, pointsB.length) < LEAST_ENDS) return null;
  const [sideA, sideB] = [sideOf(a, pointsA, target), sideOf(b, pointsB, target)];
  const spread = spreadRatio(pointsA, pointsB);
  const { pValue } = meanShift(pointsA, pointsB);
  const bias = {
    pValue,
    shiftM: { xM: sideB.biasM.xM - sideA.biasM.xM, yM: sideB.biasM.yM - sideA.biasM.yM },
    shiftRadiusM: shiftRadius(pointsA, pointsB),
  };
  const success =
    sideA.success === null || sideB.success === null
      ? null
      : {
          ...rateDifference(sideA.success, sideB.success),
          pValue: fisherExact(
            sideA.success.successes,
            sideA.nSuccess,
            sideB.success.successes,
            sideB.nSuccess,
          ),
        };
  const looked: Record<Question, Answer> = {
    bias: smallerIsBetter(size(sideA.biasM), size(sideB.biasM)),
    spread: smallerIsBetter(spread?.meanDistanceAM ?? 0, spread?.meanDistanceBM ?? 0),
    success: smallerIsBetter(sideB.success?.rate ?? 0, sideA.success?.rate ?? 0),
  };
  const [pBias = 1, pSpread = 1, pSuccess = 1] = holm([
    pValue,
    spread?.pValue ?? 1,
    success?.pValue ?? 1,
  ]);
  const shown = (question: Question, p: number): Answer =>
    p <= ALPHA ? looked[question] : 'no-difference-shown';
  const answers = {
    bias: shown('bias', pBias),
    spread: shown('spread', pSpread),
    success: shown('success', pSuccess),
  };
  const byMiss = smallerIsBetter(squaredMiss(pointsA, target), squaredMiss(pointsB, target));
  const found = { a: sideA, b: sideB, bias, spread, success, looked, answers };
  return {
    ...found,
    verdict: verdictOf(answers, byMiss),
    ...nearest(pointsA, pointsB, found),
  };
}
