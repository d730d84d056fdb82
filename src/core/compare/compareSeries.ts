import type { Point, Pose } from '../geometry/pose';
import type { MeasuredRun } from '../runs/consistency';
import { meanPoint, sampleCovariance } from '../stats/covariance';
import { mean } from '../stats/moments';
import { wilson, type SuccessRate } from '../stats/wilson';
import { fisherExact } from './fisherExact';
import { holm } from './holm';
import { meanShift } from './meanShift';
import { rateDifference } from './newcombe';
import { isPlaced } from './placed';
import { successReAimed } from './reAimed';
import { MOST_PER_SERIES, runsNeeded, type DifferenceSought } from './runsNeeded';
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
  /** Mean offset from the target; null with fewer than three measured ends. */
  biasM: Point | null;
  /** Mean distance from their own middle. */
  meanDistanceM: number | null;
  success: SuccessRate | null;
}

export interface Comparison {
  a: Side;
  b: Side;
  /** Whether the means differ, and by how much: b − a, with half the width of its 95 % region; null without enough ends. */
  bias: { pValue: number; shiftM: Point; shiftRadiusM: number } | null;
  /** Null without enough ends, and where a series has no spread at all. */
  spread: SpreadRatio | null;
  success: { difference: number; low95: number; high95: number; pValue: number } | null;
  /** What each question looks like, whether or not it is shown. */
  looked: Record<Question, Answer>;
  /** What each question says by itself, at a level at which all of them cry wolf in 5 of 100 comparisons. */
  answers: Record<Question, Answer>;
  verdict: Answer;
  /**
   * Where they came closer together and are aimed wrong: how often they would work with the middle on the target, if it
   * stays there; `success` is null where the ends do not tell which runs work.
   */
  reAim?: { byM: number; success: SuccessRate | null };
  /** So many more runs in each series would settle the question that is nearest to it, if it is as it looks. */
  moreRuns?: { question: Question; perSeries: number };
}

const ALPHA = 0.05;
export const LEAST_ENDS = 3;

const placesOf = (runs: readonly MeasuredRun[]): Point[] =>
  runs.filter(isPlaced).map(({ xM, yM }) => ({ xM, yM }));

function placesOfSide(
  points: readonly Point[],
  target: Pose,
): Pick<Side, 'biasM' | 'meanDistanceM'> {
  if (points.length < LEAST_ENDS) return { biasM: null, meanDistanceM: null };
  const centre = meanPoint(points);
  return {
    biasM: { xM: centre.xM - target.xM, yM: centre.yM - target.yM },
    meanDistanceM: mean(distancesFromMedian(points)),
  };
}

function sideOf(runs: readonly MeasuredRun[], points: readonly Point[], target: Pose): Side {
  const judged = runs.filter(({ success }) => typeof success === 'boolean');
  return {
    n: runs.length,
    nPose: points.length,
    nSuccess: judged.length,
    ...placesOfSide(points, target),
    success: wilson(judged.filter(({ success }) => success === true).length, judged.length),
  };
}

/** Ends nearer to each other than this share of a difference are the same place. */
const SAME_PLACE = 1e-6;

const size = ({ xM, yM }: Point): number => Math.hypot(xM, yM);

/** The better of two by a figure that should be small. */
const smallerIsBetter = (a: number, b: number): Answer =>
  b < a ? 'helped' : b > a ? 'hurt' : 'no-difference-shown';

/** Mean squared distance from the target: what aim and spread come to together. */
function squaredMiss(points: readonly Point[], target: Pose): number {
  const squares = points.map(({ xM, yM }) => (xM - target.xM) ** 2 + (yM - target.yM) ** 2);
  return squares.reduce((sum, one) => sum + one, 0) / squares.length;
}

/** Closer together and aimed wrong is the better robot: an offset can be taken out by aiming anew, a spread cannot. */
const wantsReAim = ({ bias, spread }: Record<Question, Answer>): boolean =>
  spread === 'helped' && bias === 'hurt';

/** What all three answers come to: what works counts first, then how far from the target the runs end. */
function verdictOf(answers: Record<Question, Answer>, byMiss: Answer): Answer {
  if (wantsReAim(answers)) return 'helped';
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
): [Question, DifferenceSought][] {
  const list: [Question, DifferenceSought][] = [];
  if (bias !== null) {
    const variance = mean(
      [sampleCovariance(a), sampleCovariance(b)].map(({ xx, yy }) => (xx + yy) / 2),
    );
    const sdM = Math.sqrt(variance);
    const differenceM = size(bias.shiftM);
    // Ends that do not scatter but by how numbers are rounded differ for sure, or not at all.
    if (sdM > SAME_PLACE * differenceM) list.push(['bias', { sdM, differenceM }]);
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
 * Whatever one of the series lacks is left out, and the rest is compared.
 *
 * @param a before, `b` after; offsets in the frame of `target`
 * @returns null where both lack measured ends (three each) as well as runs of which it is known whether they worked
 */
export function compareSeries(
  a: readonly MeasuredRun[],
  b: readonly MeasuredRun[],
  target: Pose,
): Comparison | null {
  const [pointsA, pointsB] = [placesOf(a), placesOf(b)];
  const [sideA, sideB] = [sideOf(a, pointsA, target), sideOf(b, pointsB, target)];
  const isPlacedEnough = sideA.biasM !== null && sideB.biasM !== null;
  const success = successOf(sideA, sideB);
  if (!isPlacedEnough && success === null) return null;
  const bias = biasOf(pointsA, pointsB, sideA, sideB);
  const spread = isPlacedEnough ? spreadRatio(pointsA, pointsB) : null;
  const looked: Record<Question, Answer> = {
    bias:
      sideA.biasM === null || sideB.biasM === null
        ? 'no-difference-shown'
        : smallerIsBetter(size(sideA.biasM), size(sideB.biasM)),
    spread: smallerIsBetter(spread?.meanDistanceAM ?? 0, spread?.meanDistanceBM ?? 0),
    success:
      success === null
        ? 'no-difference-shown'
        : smallerIsBetter(sideB.success?.rate ?? 0, sideA.success?.rate ?? 0),
  };
  const answers = answersOf(looked, [bias, spread, success]);
  const byMiss = isPlacedEnough
    ? smallerIsBetter(squaredMiss(pointsA, target), squaredMiss(pointsB, target))
    : 'no-difference-shown';
  const found = { a: sideA, b: sideB, bias, spread, success, looked, answers };
  return {
    ...found,
    verdict: verdictOf(answers, byMiss),
    ...(wantsReAim(answers) &&
      sideB.biasM !== null && {
        reAim: { byM: size(sideB.biasM), success: successReAimed(a, b, target) },
      }),
    ...nearest(pointsA, pointsB, found),
  };
}

function biasOf(
  pointsA: readonly Point[],
  pointsB: readonly Point[],
  a: Side,
  b: Side,
): Comparison['bias'] {
  if (a.biasM === null || b.biasM === null) return null;
  return {
    pValue: meanShift(pointsA, pointsB).pValue,
    shiftM: { xM: b.biasM.xM - a.biasM.xM, yM: b.biasM.yM - a.biasM.yM },
    shiftRadiusM: shiftRadius(pointsA, pointsB),
  };
}

function successOf({ success: a }: Side, { success: b }: Side): Comparison['success'] {
  if (a === null || b === null) return null;
  return { ...rateDifference(a, b), pValue: fisherExact(a.successes, a.n, b.successes, b.n) };
}

/** What each question says, judged together by Holm's rule; those that nothing tells of are not asked. */
function answersOf(
  looked: Record<Question, Answer>,
  [bias, spread, success]: [Comparison['bias'], Comparison['spread'], Comparison['success']],
): Record<Question, Answer> {
  const asked = [
    { question: 'bias' as const, pValue: bias?.pValue },
    { question: 'spread' as const, pValue: spread?.pValue },
    { question: 'success' as const, pValue: success?.pValue },
  ].flatMap(({ question, pValue }) => (pValue === undefined ? [] : [{ question, pValue }]));
  const judged = holm(asked.map(({ pValue }) => pValue));
  const answer = (question: Question): Answer => {
    const place = asked.findIndex((one) => one.question === question);
    return (judged[place] ?? 1) <= ALPHA ? looked[question] : 'no-difference-shown';
  };
  return { bias: answer('bias'), spread: answer('spread'), success: answer('success') };
}
