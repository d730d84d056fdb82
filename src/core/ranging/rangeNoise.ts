import { linearFit } from '../stats/linearFit';
import { mean } from '../stats/moments';

/** An echo that was heard, against the tape. */
export interface Heard {
  trueM: number;
  readingM: number;
}

/** Standard deviation of single readings at a distance. */
export type Noise = (trueM: number) => number;

/** Fewer distances tell no line of noise. */
const LEAST_DISTANCES = 4;

export const distinct = (values: readonly number[]): number[] =>
  [...new Set(values)].toSorted((a, b) => a - b);

/** Scatter within each distance, pooled. */
export function pooledSd(heard: readonly Heard[]): number {
  const groups = distinct(heard.map(({ trueM }) => trueM)).map((at) =>
    heard.filter(({ trueM }) => trueM === at).map(({ readingM }) => readingM),
  );
  const freedom = groups.reduce((sum, group) => sum + group.length - 1, 0);
  if (freedom < 1) return 0;
  const squares = groups
    .flatMap((group) => group.map((value) => (value - mean(group)) ** 2))
    .reduce((sum, one) => sum + one, 0);
  return Math.sqrt(squares / freedom);
}

/** Of the least noise that is reckoned with, as a share of all of it: a distance that read the same is not without. */
const LEAST_NOISE = 0.25;

interface Scatter {
  at: number;
  sd: number;
  weight: number;
}

/** The scatter within each distance at which a unit was read more than once. */
export const scattersOf = (heard: readonly Heard[]): Scatter[] =>
  distinct(heard.map(({ trueM }) => trueM)).flatMap((at) => {
    const values = heard.filter(({ trueM }) => trueM === at).map(({ readingM }) => readingM);
    if (values.length < 2) return [];
    const freedom = values.length - 1;
    const squares = values.reduce((sum, value) => sum + (value - mean(values)) ** 2, 0);
    return [{ at, sd: Math.sqrt(squares / freedom), weight: Math.sqrt(freedom) }];
  });

/**
 * Noise against distance, by the scatters of all units together: a line, or the same for all distances where they
 * tell none.
 */
export function noiseOf(scatters: readonly Scatter[]): { at: Noise; perM: number } {
  const total = scatters.reduce((sum, { weight }) => sum + weight ** 2, 0);
  const sd = Math.sqrt(
    scatters.reduce((sum, one) => sum + (one.weight * one.sd) ** 2, 0) / Math.max(1, total),
  );
  const constant = { at: () => sd || 1, perM: 0 };
  if (distinct(scatters.map(({ at }) => at)).length < LEAST_DISTANCES || sd === 0) {
    return constant;
  }
  const fit = linearFit(
    scatters.map(({ at, weight }) => [weight, weight * at]),
    scatters.map((one) => one.weight * one.sd),
  );
  const [base = sd, perM = 0] = fit?.coefficients ?? [];
  if (!(perM > 0)) return constant;
  return { at: (trueM) => Math.max(LEAST_NOISE * sd, base + perM * trueM), perM };
}
