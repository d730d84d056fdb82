import { fUpperTail } from '../stats/fDistribution';
import { errorRates, type ErrorRates } from './errorRate';
import {
  freedomOf,
  sampled,
  spreadingAlike,
  totalOf,
  variancesOf,
  type Readings,
  type Sampled,
  type Variances,
} from './sampled';
import { shownStep } from './shownStep';
import {
  equalErrorThreshold,
  leastErrorThreshold,
  separability,
  type TwoSpreads,
} from './threshold';

/** Spreads that differ so much by chance in one of twenty cases are taken for different. */
const DIFFER = 0.05;
/** Beyond a threshold by so many deviations of a reading that stays in its place, noise does not cross back. */
const NOISE_SDS = 3;
/** And not further than by this share of the way to the class's mean: it has to be reached. */
const REACHED = 1 / 3;

/** A class as its samples show it. */
export interface ClassFound {
  n: number;
  places: number;
  mean: number;
  /** Of a reading at a place never tried; NaN where nothing tells. */
  sd: number;
  /** Of readings that stay in their place, and of places. */
  readingSd: number;
  placeSd: number;
  /** Of its samples so many lie on the wrong side of the threshold. */
  wrong: number;
}

/** How two classes are told apart by a reading. */
export interface TwoClasses {
  low: ClassFound;
  high: ClassFound;
  /** Whether the first of both is the one with lower readings. */
  firstIsLow: boolean;
  /** Of least error; where spreads are not shown to differ, the middle. */
  threshold: number;
  equalError: number;
  /** A reading comes to count as the lower class at or below `toLow`, as the higher one at or above `toHigh`. */
  toLow: number;
  toHigh: number;
  /** Deviations between both. */
  separability: number;
  rates: ErrorRates;
  /** Whether one is shown to spread more than the other. */
  spreadsDiffer: boolean;
  /** In which the readings are shown. */
  step: number;
}

function differ(a: Sampled, b: Sampled): boolean {
  const [varianceA, varianceB] = [totalOf(variancesOf(a)), totalOf(variancesOf(b))];
  const [freeA, freeB] = [freedomOf(a), freedomOf(b)];
  if (!(varianceA > 0 && varianceB > 0)) return varianceA !== varianceB && freeA > 0 && freeB > 0;
  const tail =
    varianceA > varianceB
      ? fUpperTail(varianceA / varianceB, freeA, freeB)
      : fUpperTail(varianceB / varianceA, freeB, freeA);
  return tail < DIFFER / 2;
}

const sdOf = (variances: Variances): number => Math.sqrt(totalOf(variances));

/** The thresholds of two spreads; in the middle where nothing tells how they spread, or nothing scatters. */
function thresholdsOf(spreads: TwoSpreads): { threshold: number; equalError: number } {
  const { low, high } = spreads;
  const middle = (low.mean + high.mean) / 2;
  const isTold = low.sd > 0 && high.sd > 0;
  if (!isTold) return { threshold: middle, equalError: middle };
  return { threshold: leastErrorThreshold(spreads), equalError: equalErrorThreshold(spreads) };
}

/**
 * How to tell two classes apart by a reading, from samples of both.
 *
 * The threshold is that of least error for the two spreads where they are shown to differ (F test), else the middle of
 * the means; the spread is that of a reading at a place never tried. Hysteresis keeps noise from crossing back. Not shown
 * to differ is not alike: the rates rest on each class's own spread.
 *
 * @throws RangeError for a class without readings
 */
export function twoClasses(first: Readings, second: Readings): TwoClasses {
  if (first.values.length === 0 || second.values.length === 0) {
    throw new RangeError('Each of both needs a reading at least.');
  }
  const step = shownStep([...first.values, ...second.values]);
  const [a, b] = [sampled(first, step), sampled(second, step)];
  const firstIsLow = a.mean <= b.mean;
  const lowSampled = firstIsLow ? a : b;
  const highSampled = firstIsLow ? b : a;
  const spreadsDiffer = differ(lowSampled, highSampled);
  const alike = spreadingAlike(lowSampled, highSampled);
  const [low, high] = spreadsDiffer ? [lowSampled, highSampled] : alike;
  const [ofLow, ofHigh] = [variancesOf(low), variancesOf(high)];
  const spreads = {
    low: { mean: low.mean, sd: sdOf(ofLow) },
    high: { mean: high.mean, sd: sdOf(ofHigh) },
  };
  const { threshold, equalError } = thresholdsOf(spreads);
  const isWrongOf = firstIsLow ? [first, second] : [second, first];
  const found = (one: Sampled, variances: Variances, wrong: number): ClassFound => ({
    n: one.n,
    places: one.places,
    mean: one.mean,
    sd: sdOf(variances),
    readingSd: Math.sqrt(variances.reading),
    placeSd: Math.sqrt(variances.place),
    wrong,
  });
  const aside = (mean: number, readingSd: number): number =>
    Math.min(
      Number.isNaN(readingSd) ? Infinity : NOISE_SDS * readingSd,
      REACHED * Math.max(0, mean),
    );
  return {
    low: found(low, ofLow, isWrongOf[0]?.values.filter((one) => one > threshold).length ?? 0),
    high: found(high, ofHigh, isWrongOf[1]?.values.filter((one) => one <= threshold).length ?? 0),
    firstIsLow,
    threshold,
    equalError,
    toLow: threshold - aside(threshold - low.mean, Math.sqrt(ofLow.reading)),
    toHigh: threshold + aside(high.mean - threshold, Math.sqrt(ofHigh.reading)),
    separability: separability(spreads),
    rates: errorRates(lowSampled, highSampled, threshold),
    spreadsDiffer,
    step,
  };
}
