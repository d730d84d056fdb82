import { wrap } from '../geometry/angle';
import { circularMean } from '../stats/circularMean';
import { fQuantile } from '../stats/fDistribution';
import { mean } from '../stats/moments';
import { cholesky, logDeterminant, squaredBy } from './cholesky';

/** No sensor tells finer: deviations of readings that all agree, in shares of 1 and in radians. */
const LEAST_SD = 0.002;
const LEAST_SD_RAD = 0.01;
/** A reading of a class is let in but for one of a hundred, and what lies this many deviations off is none. */
const LET_IN = 0.99;
const MOST_DEVIATIONS = 3.5;

/** The readings of a class, in the features of a representation. */
export type Cloud = readonly (readonly number[])[];

/** What the readings of a class sum up to. */
interface Summed {
  n: number;
  centre: number[];
  /** Sums of products of what each lies off the centre. */
  scatter: number[][];
}

/** A class as a normal distribution. */
export interface GaussianClass {
  n: number;
  centre: number[];
  /** The lower triangle of its covariance. */
  lower: number[][];
  logDeterminant: number;
  /** Squared deviations beyond which a reading is none of it. */
  limit2: number;
}

const offCentre = (x: readonly number[], centre: readonly number[], isAngle: boolean): number[] =>
  x.map((one, j) => {
    const off = one - (centre[j] ?? 0);
    return isAngle ? wrap(off) : off;
  });

function summed(cloud: Cloud, isAngle: boolean): Summed {
  const dimensions = cloud[0]?.length ?? 0;
  const centre = Array.from({ length: dimensions }, (_, j) => {
    const values = cloud.map((x) => x[j] ?? 0);
    return isAngle ? circularMean(values).meanRad : mean(values);
  });
  let scatter = centre.map(() => centre.map(() => 0));
  for (const x of cloud) scatter = withProduct(scatter, offCentre(x, centre, isAngle), 1);
  return { n: cloud.length, centre, scatter };
}

/** A matrix and so many times the product of a vector with itself. */
const withProduct = (matrix: number[][], x: readonly number[], times: number): number[][] =>
  matrix.map((row, i) => row.map((one, j) => one + times * (x[i] ?? 0) * (x[j] ?? 0)));

/** The same without one of its readings. Source: Welford, Technometrics 4 (1962) 419–420, backwards. */
function without({ n, centre, scatter }: Summed, x: readonly number[], isAngle: boolean): Summed {
  const off = offCentre(x, centre, isAngle);
  return {
    n: n - 1,
    centre: centre.map((one, j) => one - (off[j] ?? 0) / (n - 1)),
    scatter: withProduct(scatter, off, -n / (n - 1)),
  };
}

/** Quantiles that were asked for: leaving each reading out asks for the same few again and again. */
const quantiles = new Map<string, number>();

function letIn(dimensions: number, left: number): number {
  const key = `${dimensions} ${left}`;
  const known = quantiles.get(key) ?? fQuantile(LET_IN, dimensions, left);
  quantiles.set(key, known);
  return known;
}

/** Squared deviations, of so many features and so much known of the spread, that a new reading of the class keeps within. */
function limitOf(dimensions: number, n: number, freedom: number): number {
  const left = freedom - dimensions + 1;
  if (left <= 0) return MOST_DEVIATIONS ** 2;
  const scale = (((dimensions * freedom) / left) * (n + 1)) / n;
  return Math.min(MOST_DEVIATIONS ** 2, scale * letIn(dimensions, left));
}

/**
 * Classes as normal distributions, each with a spread of its own that leans on the common one as far as its few readings
 * do not tell: as if the common spread were one more reading for each feature and one besides.
 *
 * Source: Greene and Rayens, Covariance pooling in discriminant analysis, Commun. Stat. Theory 18 (1989) 3679–3702.
 */
function fitSums(sums: readonly Summed[], isAngle: boolean): GaussianClass[] {
  const dimensions = sums[0]?.centre.length ?? 0;
  const freedomOfAll = sums.reduce((total, { n }) => total + n - 1, 0);
  const leaning = freedomOfAll === 0 ? 0 : dimensions + 1;
  const least = (isAngle ? LEAST_SD_RAD : LEAST_SD) ** 2;
  const common = (i: number, j: number): number => {
    let sum = 0;
    for (const { scatter } of sums) sum += scatter[i]?.[j] ?? 0;
    return freedomOfAll === 0 ? 0 : sum / freedomOfAll;
  };
  const leant = Array.from({ length: dimensions }, (_, i) =>
    Array.from({ length: i + 1 }, (_, j) => leaning * common(i, j)),
  );
  return sums.map(({ n, centre, scatter }) => {
    const own = n - 1;
    const freedom = Math.max(1, own + leaning);
    // The lower triangle is all that is asked for.
    const covariance = leant.map((row, i) =>
      row.map((one, j) => (one + (scatter[i]?.[j] ?? 0)) / freedom + (i === j ? least : 0)),
    );
    const lower = cholesky(covariance);
    return {
      n,
      centre,
      lower,
      logDeterminant: logDeterminant(lower),
      limit2: limitOf(dimensions, n, Math.max(own, Math.min(freedomOfAll, own + leaning))),
    };
  });
}

/** The nearest class to a reading. */
export interface Nearest {
  at: number;
  /** Whether it lies beyond what readings of any class keep within: a colour that none of them is. */
  isNone: boolean;
  /** How probable each class is, where all come equally often. */
  probabilities: number[];
}

export function nearest(
  classes: readonly GaussianClass[],
  x: readonly number[],
  isAngle: boolean,
): Nearest {
  const squared = classes.map(({ centre, lower }) =>
    squaredBy(lower, offCentre(x, centre, isAngle)),
  );
  const logs = classes.map((one, i) => -((squared[i] ?? 0) + one.logDeterminant) / 2);
  const highest = Math.max(...logs);
  const weights = logs.map((log) => Math.exp(log - highest));
  const sum = weights.reduce((all, one) => all + one, 0);
  return {
    at: logs.indexOf(highest),
    isNone: classes.every(({ limit2 }, i) => (squared[i] ?? 0) > limit2),
    probabilities: weights.map((one) => one / sum),
  };
}

export const gaussianClasses = (clouds: readonly Cloud[], isAngle: boolean): GaussianClass[] =>
  fitSums(
    clouds.map((cloud) => summed(cloud, isAngle)),
    isAngle,
  );

/** Each reading of each class, judged by classes that were made without it; null for the only one of its class. */
export function leaveOneOut(clouds: readonly Cloud[], isAngle: boolean): (Nearest | null)[][] {
  const sums = clouds.map((cloud) => summed(cloud, isAngle));
  return clouds.map((cloud, c) =>
    cloud.map((x) => {
      const own = sums[c];
      if (own === undefined || own.n < 2) return null;
      return nearest(fitSums(sums.with(c, without(own, x, isAngle)), isAngle), x, isAngle);
    }),
  );
}
