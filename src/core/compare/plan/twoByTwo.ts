import type { Point, Pose } from '../../geometry/pose';
import type { MeasuredRun } from '../../runs/consistency';
import { mean } from '../../stats/moments';
import { fUpperTail } from '../../stats/fDistribution';
import { student975 } from '../../stats/student';
import { holm } from '../holm';
import { distancesFromMedian } from '../spreadRatio';
import type { About } from './plannedVerdict';

/** The runs of each way: with neither change, the first, the second, both. */
export type FourWays<T> = readonly [neither: T, first: T, second: T, both: T];

/** What a change does to the mean figure of a run, with its 95 % interval. */
export interface Effect {
  change: number;
  low95: number;
  high95: number;
  pValue: number;
  /** Whether it is shown, all three judged together (Holm). */
  isShown: boolean;
}

export interface TwoByTwo {
  /** Runs with a figure, of each way. */
  n: FourWays<number>;
  /** Mean figure of each way: metres from the target or from their own middle, or the share that worked. */
  means: FourWays<number>;
  /** What each change does, over both states of the other. */
  first: Effect;
  second: Effect;
  /** By how much more the first does with the second than without it. */
  together: Effect;
  /** The way to keep: with the changes that are shown to help. 0 neither, 1 first, 2 second, 3 both. */
  keep: 0 | 1 | 2 | 3;
}

const LEAST_OF_A_WAY = 3;
const ALPHA = 0.05;

const placesOf = (runs: readonly MeasuredRun[]): Point[] =>
  runs.flatMap(({ xM, yM }) =>
    typeof xM === 'number' && typeof yM === 'number' ? [{ xM, yM }] : [],
  );

/** The figure of each run that the plan is about. */
const FIGURES: Record<About, (runs: readonly MeasuredRun[], target: Pose) => number[]> = {
  aim: (runs, target) =>
    placesOf(runs).map(({ xM, yM }) => Math.hypot(xM - target.xM, yM - target.yM)),
  spread: (runs) => distancesFromMedian(placesOf(runs)),
  success: (runs) =>
    runs.flatMap(({ success }) => (typeof success === 'boolean' ? [success ? 1 : 0] : [])),
};

const CONTRASTS = {
  first: [-0.5, 0.5, -0.5, 0.5],
  second: [-0.5, -0.5, 0.5, 0.5],
  together: [1, -1, -1, 1],
} as const;

function effectOf(
  contrast: readonly number[],
  means: readonly number[],
  counts: readonly number[],
  variance: number,
  freedom: number,
): Omit<Effect, 'isShown'> {
  const change = contrast.reduce((sum, weight, i) => sum + weight * (means[i] ?? 0), 0);
  const share = contrast.reduce((sum, weight, i) => sum + weight ** 2 / (counts[i] ?? 1), 0);
  const se = Math.sqrt(variance * share);
  const half = student975(freedom) * se;
  // Where nothing varies, any difference is one.
  const pValue = se === 0 ? (change === 0 ? 1 : 0) : fUpperTail((change / se) ** 2, 1, freedom);
  return { change, low95: change - half, high95: change + half, pValue };
}

/** With which changes: those that are shown to help; of two that only help alone, the one that does more. */
function toKeep(
  means: readonly number[],
  effects: Record<keyof typeof CONTRASTS, Effect>,
  better: 1 | -1,
): TwoByTwo['keep'] {
  if (effects.together.isShown) {
    // What one does depends on the other: then the best of the four as they are.
    const best = means.map((value) => better * value);
    return best.indexOf(Math.max(...best)) as TwoByTwo['keep'];
  }
  const helps = ({ isShown, change }: Effect) => isShown && better * change > 0;
  return ((helps(effects.first) ? 1 : 0) + (helps(effects.second) ? 2 : 0)) as TwoByTwo['keep'];
}

/**
 * What each of two changes does, and whether one changes what the other does, from runs with neither, each and
 * both: a two-way analysis of variance of one figure per run, with a common variance.
 *
 * Source: Montgomery, Design and Analysis of Experiments (8th ed., 2013), section 6.2. The distances of the spread
 * are those of Brown and Forsythe (1974).
 * @param target where the route was planned to end, in the frame of the runs
 * @returns null with fewer than three figures of any way
 */
export function twoByTwo(
  about: About,
  ways: FourWays<readonly MeasuredRun[]>,
  target: Pose,
): TwoByTwo | null {
  const counted = ways.map((runs) =>
    about === 'success' ? FIGURES.success(runs, target).length : placesOf(runs).length,
  );
  if (Math.min(...counted) < LEAST_OF_A_WAY) return null;
  const figures = ways.map((runs) => FIGURES[about](runs, target));
  const means = figures.map(mean);
  const freedom = figures.flat().length - figures.length;
  const squares = figures.map((values, i) =>
    values.reduce((sum, value) => sum + (value - (means[i] ?? 0)) ** 2, 0),
  );
  const variance = squares.reduce((sum, one) => sum + one, 0) / freedom;
  const of = (name: keyof typeof CONTRASTS) =>
    effectOf(CONTRASTS[name], means, counted, variance, freedom);
  const raw = [of('first'), of('second'), of('together')] as const;
  const [pFirst = 1, pSecond = 1, pTogether = 1] = holm(raw.map(({ pValue }) => pValue));
  const effects = {
    first: { ...raw[0], isShown: pFirst <= ALPHA },
    second: { ...raw[1], isShown: pSecond <= ALPHA },
    together: { ...raw[2], isShown: pTogether <= ALPHA },
  };
  return {
    n: counted as unknown as FourWays<number>,
    means: means as unknown as FourWays<number>,
    ...effects,
    keep: toKeep(means, effects, about === 'success' ? 1 : -1),
  };
}
