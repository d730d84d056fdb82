import { wrap } from '../geometry/angle';
import { circularMean } from '../stats/circularMean';
import { fQuantile } from '../stats/fDistribution';
import { inverseOfPositive } from '../stats/inverseOfPositive';
import { mean } from '../stats/moments';

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
  inverse: number[][];
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
  const scatter = centre.map(() => centre.map(() => 0));
  for (const x of cloud) {
    const off = offCentre(x, centre, isAngle);
    for (const [i, row] of scatter.entries()) {
      for (const j of row.keys()) row[j] = (row[j] ?? 0) + (off[i] ?? 0) * (off[j] ?? 0);
    }
  }
  return { n: cloud.length, centre, scatter };
}

const combined = (a: number[][], b: number[][], ofB: number): number[][] =>
  a.map((row, i) => row.map((one, j) => one + ofB * (b[i]?.[j] ?? 0)));

/** Squared deviations, of so many features and so much known of the spread, that a new reading of the class keeps within. */
function limitOf(dimensions: number, n: number, freedom: number): number {
  const left = freedom - dimensions + 1;
  if (left <= 0) return MOST_DEVIATIONS ** 2;
  const f = fQuantile(LET_IN, dimensions, left);
  return Math.min(MOST_DEVIATIONS ** 2, (((dimensions * freedom) / left) * (n + 1) * f) / n);
}

/**
 * Classes as normal distributions, each with a spread of its own that leans on the common one as far as its few readings
 * do not tell: as if the common spread were one more reading for each feature and one besides.
 *
 * Source: Greene and Rayens, Covariance pooling in discriminant analysis, Commun. Stat. Theory 18 (1989) 3679–3702.
 */
function fitSums(sums: readonly Summed[], isAngle: boolean): GaussianClass[] {
  const dimensions = sums[0]?.centre.length ?? 0;
  const nothing = Array.from({ length: dimensions }, () => Array<number>(dimensions).fill(0));
  const all = sums.reduce((total, { scatter }) => combined(total, scatter, 1), nothing);
  const freedomOfAll = sums.reduce((total, { n }) => total + n - 1, 0);
  const leaning = dimensions + 1;
  const least = (isAngle ? LEAST_SD_RAD : LEAST_SD) ** 2;
  return sums.map(({ n, centre, scatter }) => {
    const own = n - 1;
    const borrowed = freedomOfAll === 0 ? 0 : leaning / freedomOfAll;
    const freedom = own + (freedomOfAll === 0 ? 0 : leaning);
    const covariance = combined(scatter, all, borrowed).map((row, i) =>
      row.map((one, j) => (freedom === 0 ? 0 : one / freedom) + (i === j ? least : 0)),
    );
    const inverted = inverseOfPositive(covariance);
    return {
      n,
      centre,
      inverse: inverted?.inverse ?? nothing,
      logDeterminant: Math.log(inverted?.determinant ?? Infinity),
      limit2: limitOf(dimensions, n, Math.max(own, Math.min(freedomOfAll, freedom))),
    };
  });
}

/** Squared deviations of a reading from a class (Mahalanobis). */
export function squaredDeviations(
  { centre, inverse }: GaussianClass,
  x: readonly number[],
  isAngle: boolean,
): number {
  const off = offCentre(x, centre, isAngle);
  return off.reduce(
    (sum, one, i) =>
      sum + one * off.reduce((row, other, j) => row + (inverse[i]?.[j] ?? 0) * other, 0),
    0,
  );
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
  const squared = classes.map((one) => squaredDeviations(one, x, isAngle));
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
    cloud.map((x, i) => {
      if (cloud.length < 2) return null;
      const without = summed(cloud.toSpliced(i, 1), isAngle);
      return nearest(fitSums(sums.with(c, without), isAngle), x, isAngle);
    }),
  );
}
