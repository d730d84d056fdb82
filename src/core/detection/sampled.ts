import { mean } from '../stats/moments';
import { ROUNDING_SD } from '../stats/roundedFit';

/** Readings of one class, and at which place each was taken; without places all were taken at one. */
export interface Readings {
  values: readonly number[];
  places?: readonly (string | number)[];
}

/**
 * What readings of a class show: of places that differ, and readings that differ at each (one-way random effects).
 * The mean is that of the places' means, so that a place with many readings counts no more than another.
 *
 * Source: Searle, Casella and McCulloch, Variance Components (1992), chapter 3; unweighted means of Thomas and
 * Hultquist, Ann. Stat. 6 (1978) 582–587.
 */
export interface Sampled {
  n: number;
  places: number;
  mean: number;
  /** Harmonic mean of how many readings a place has. */
  perPlace: number;
  /** Mean squares with their degrees of freedom: of readings about their place's mean, of the places' means. */
  within: MeanSquare;
  between: MeanSquare;
  /** What share of a reading's variance the mean square between places holds: 1 over the readings at each. */
  withinShare: number;
}

export interface MeanSquare {
  value: number;
  free: number;
}

const NONE: MeanSquare = { value: 0, free: 0 };

/** @param step in which readings are shown: they differ by no less than it hides */
export function sampled({ values, places }: Readings, step: number): Sampled {
  const names = values.map((_, i) => places?.[i] ?? '');
  const groups = [...new Set(names)].map((name) => values.filter((_, i) => names[i] === name));
  const means = groups.map(mean);
  const centre = mean(means);
  const hidden = (ROUNDING_SD * step) ** 2;
  const square = (sum: number, free: number, least: number): MeanSquare =>
    free === 0 ? NONE : { value: Math.max(sum / free, least), free };
  const withinSum = groups.reduce(
    (sum, group, i) => sum + group.reduce((all, one) => all + (one - (means[i] ?? 0)) ** 2, 0),
    0,
  );
  const perPlace = groups.length / groups.reduce((sum, group) => sum + 1 / group.length, 0);
  const betweenSum = means.reduce((sum, one) => sum + (one - centre) ** 2, 0);
  return {
    n: values.length,
    places: groups.length,
    mean: centre,
    perPlace,
    within: square(withinSum, values.length - groups.length, hidden),
    between: square(betweenSum, groups.length - 1, hidden / perPlace),
    withinShare: 1 / perPlace,
  };
}

/** Variances of places and of readings at one. */
export interface Variances {
  place: number;
  reading: number;
}

/**
 * How readings at places never tried will differ: what the places' means differ by beyond their readings. NaN where a
 * single reading tells of nothing.
 */
export function variancesOf({ within, between, withinShare }: Sampled): Variances {
  if (within.free + between.free === 0) return { place: 0, reading: Number.NaN };
  // One reading at each place tells of both together.
  if (within.free === 0) return { place: 0, reading: between.value };
  return { place: Math.max(0, between.value - within.value * withinShare), reading: within.value };
}

export const totalOf = ({ place, reading }: Variances): number => place + reading;

/** Variance of the mean. */
export const ofMean = ({ place, reading }: Variances, { places, perPlace }: Sampled): number =>
  (place + reading / perPlace) / places;

/** Degrees of freedom of the whole variance (Satterthwaite, Biometrics Bull. 2 (1946) 110–114). */
export function freedomOf({ within, between, withinShare }: Sampled): number {
  const parts = [
    { part: between.value, free: between.free },
    { part: (1 - withinShare) * within.value, free: within.free },
  ].filter(({ part, free }) => part > 0 && free > 0);
  const sum = parts.reduce((all, { part }) => all + part, 0);
  return sum ** 2 / parts.reduce((all, { part, free }) => all + part ** 2 / free, 0);
}

const pooled = (a: MeanSquare, b: MeanSquare): MeanSquare =>
  a.free + b.free === 0
    ? NONE
    : { value: (a.value * a.free + b.value * b.free) / (a.free + b.free), free: a.free + b.free };

/** Both classes as if they spread alike: what either shows of it counts for both. */
export function spreadingAlike(a: Sampled, b: Sampled): [Sampled, Sampled] {
  const within = pooled(a.within, b.within);
  const between = pooled(a.between, b.between);
  const withinShare =
    between.free === 0
      ? a.withinShare
      : (a.withinShare * a.between.free + b.withinShare * b.between.free) / between.free;
  return [
    { ...a, within, between, withinShare },
    { ...b, within, between, withinShare },
  ];
}
