import type { Point } from '../geometry/pose';
import { randomStream } from '../stats/random';
import { meanPoint, principalAxes, type Symmetric2 } from '../stats/covariance';

/** So many ways of dealing the runs into two series are all looked at; of more, so many are drawn. */
const MOST_WAYS = 20_000;
const DRAWN = 9_999;
const SEED = 7;
/** Two statistics that differ by rounding alone are the same. */
const SAME = 1e-9;

/** The number of ways to choose k of n; Infinity where it is more than is looked at. */
function waysToChoose(n: number, k: number): number {
  let ways = 1;
  for (let i = 1; i <= k; i += 1) {
    ways = (ways * (n - k + i)) / i;
    if (ways > 1e12) return Infinity;
  }
  return ways;
}

/** Sum of (point − centre)(point − centre)ᵀ. */
function scatterAbout(points: readonly Point[], centre: Point): Symmetric2 {
  const sum = { xx: 0, xy: 0, yy: 0 };
  for (const { xM, yM } of points) {
    sum.xx += (xM - centre.xM) ** 2;
    sum.xy += (xM - centre.xM) * (yM - centre.yM);
    sum.yy += (yM - centre.yM) ** 2;
  }
  return sum;
}

/** The inverse, or that of the part that has an extent: ends all on one line are compared along it. */
function inverseOf(matrix: Symmetric2): Symmetric2 {
  const { major, minor, angleRad } = principalAxes(matrix);
  if (!(major > 0)) return { xx: 0, xy: 0, yy: 0 };
  const [c, s] = [Math.cos(angleRad), Math.sin(angleRad)];
  const [u, v] = [1 / major, minor > 1e-12 * major ? 1 / minor : 0];
  return { xx: u * c * c + v * s * s, xy: (u - v) * c * s, yy: u * s * s + v * c * c };
}

/**
 * A statistic of how far apart the means of two groups are, from the sum of one group's points less the mean of
 * all: it orders the ways of dealing as Hotelling's T² does, because T² = (n − 2)·q/(1 − q) of this q.
 */
const apart = (total: Symmetric2, scale: number, x: number, y: number): number =>
  scale * (total.xx * x * x + 2 * total.xy * x * y + total.yy * y * y);

/** Every choice of `k` of `n` indexes, one after the other. */
function* choices(n: number, k: number): Generator<Int32Array> {
  const chosen = Int32Array.from({ length: k }, (_, i) => i);
  for (;;) {
    yield chosen;
    let i = k - 1;
    while (i >= 0 && chosen[i] === n - k + i) i -= 1;
    if (i < 0) return;
    chosen[i] = (chosen[i] ?? 0) + 1;
    for (let j = i + 1; j < k; j += 1) chosen[j] = (chosen[j - 1] ?? 0) + 1;
  }
}

/** So many random choices of `k` of `n` indexes, by Fisher and Yates. */
function* drawnChoices(n: number, k: number): Generator<Int32Array> {
  const random = randomStream(SEED, n, 'dealing anew');
  const order = Int32Array.from({ length: n }, (_, i) => i);
  for (let draw = 0; draw < DRAWN; draw += 1) {
    for (let i = 0; i < k; i += 1) {
      const j = i + Math.floor(random.uniform() * (n - i));
      const kept = order[i] ?? 0;
      order[i] = order[j] ?? 0;
      order[j] = kept;
    }
    yield order.subarray(0, k);
  }
}

export interface MeanShift {
  /** Hotelling's two-sample statistic T²; Infinity where neither series scatters. */
  tSquared: number;
  /** The share of ways of dealing the runs into two such series that set the means as far apart. */
  pValue: number;
}

/**
 * Whether the ends of two series differ in their mean: Hotelling's two-sample T², its probability by permutation
 * (all ways where there are at most 20,000, else 9,999 drawn ones and the observed one).
 *
 * Source: Hotelling, Ann. Math. Statist. 2 (1931) 360–378; Phipson and Smyth, Stat. Appl. Genet. Mol. Biol. 9
 * (2010) 39, for the observed one among those that are drawn.
 * @param a at least two points, as `b`
 */
export function meanShift(a: readonly Point[], b: readonly Point[]): MeanShift {
  const all = [...a, ...b];
  const n = all.length;
  const centre = meanPoint(all);
  const total = inverseOf(scatterAbout(all, centre));
  const xs = Float64Array.from(all, ({ xM }) => xM - centre.xM);
  const ys = Float64Array.from(all, ({ yM }) => yM - centre.yM);
  // The smaller group is dealt: its sum tells of both.
  const k = Math.min(a.length, b.length);
  const scale = n / (a.length * b.length);
  const statistic = (chosen: Int32Array) => {
    let [x, y] = [0, 0];
    for (const i of chosen) {
      x += xs[i] ?? 0;
      y += ys[i] ?? 0;
    }
    return apart(total, scale, x, y);
  };
  const first = a.length <= b.length ? 0 : a.length;
  const observed = statistic(Int32Array.from({ length: k }, (_, i) => first + i));
  const isAll = waysToChoose(n, k) <= MOST_WAYS;
  let [asFar, ways] = isAll ? [0, 0] : [1, 1];
  for (const chosen of isAll ? choices(n, k) : drawnChoices(n, k)) {
    ways += 1;
    if (statistic(chosen) >= observed * (1 - SAME)) asFar += 1;
  }
  const tSquared = observed < 1 - SAME ? ((n - 2) * observed) / (1 - observed) : Infinity;
  return { tSquared, pValue: asFar / ways };
}
