import { leverage, linearFit, type LinearFit } from './linearFit';
import { student975 } from './student';

/** Standard deviation of what rounding to a step of one leaves: uniform between half a step either way. */
export const ROUNDING_SD = 1 / Math.sqrt(12);
/** Readings within one step may scatter by so much of it without showing it (tried: docs/methods.md). */
const HIDDEN_SCATTER = 0.15;
/** Where readings scatter by so much of a step, rounding is noise like any other. */
const NOISE_FROM = Math.sqrt(0.7) / 2;
/** Of a step that one value hides, and of the sum of many, what is within 95 of 100. */
const SHARE_OF_ONE = 0.95 / 2;
const Z = 1.96;

/** The least scatter that can be claimed of readings that were rounded to a step. */
export const leastScatter = (step: number): number => HIDDEN_SCATTER * step;

/** The scatter of readings without what rounding adds to it; never less than what rounding can hide. */
export const withoutRounding = (sd: number, step: number): number =>
  Math.max(leastScatter(step), Math.sqrt(Math.max(0, sd ** 2 - (ROUNDING_SD * step) ** 2)));

/** Which part of half a step readings that scatter so may still share: all where they agree, none where they scatter by more. */
export const shareHiddenByRounding = (sd: number, step: number): number =>
  step > 0 ? Math.max(0, 1 - (sd / (NOISE_FROM * step)) ** 2) : 0;

/** A least-squares fit of readings that were rounded to steps. */
export interface RoundedFit extends LinearFit {
  /** The scatter that is reckoned with, in the readings' own unit: what rounding may hide is in it. */
  scatterSd: number;
  /** Half the width of the 95 % interval of a combination of the coefficients. */
  halfWidth95(columns: readonly number[], degreesOfFreedom?: number): number;
  /** The same of one more observation there that is not rounded. */
  predictionHalfWidth95(columns: readonly number[]): number;
}

/** Weights with which each observation enters a combination of the coefficients. */
export const weightsOf = (
  fit: LinearFit,
  rows: readonly (readonly number[])[],
  columns: readonly number[],
) => {
  const byColumn = fit.unscaledCovariance.map((row) =>
    row.reduce((sum, value, j) => sum + value * (columns[j] ?? 0), 0),
  );
  return rows.map((row) => row.reduce((sum, value, j) => sum + value * (byColumn[j] ?? 0), 0));
};

/**
 * What rounding may shift a combination of readings by, in 95 of 100: readings of one setting that agree share it, and
 * those of different settings have each their own (uniform). Exact for one, some percent too wide for two.
 */
export function hiddenByRounding(
  weights: readonly number[],
  settings: readonly string[],
  steps: readonly number[],
): number {
  const shared = new Map<string, number>();
  weights.forEach((weight, i) => {
    const setting = settings[i] ?? '';
    shared.set(setting, (shared.get(setting) ?? 0) + weight * (steps[i] ?? 0));
  });
  const sums = [...shared.values()];
  const most = sums.reduce((total, one) => total + Math.abs(one), 0);
  const squares = sums.reduce((total, one) => total + one * one, 0);
  return Math.min(SHARE_OF_ONE * most, Z * ROUNDING_SD * Math.sqrt(squares));
}

/**
 * Least squares of readings that an instrument rounded to its step, with intervals that hold what rounding can hide.
 *
 * Readings that scatter by half a step or more carry rounding as noise of step²/12, which is in their residuals.
 * Readings that agree share one error of up to half a step, however many they are: it is added, the less the more they
 * scatter; and their scatter is never taken for less than they could hide. Coverage and widths: docs/methods.md.
 *
 * Source: Sheppard's correction and its limits, e.g. Schneeweiss, Komlos and Ahmad, AStA 94 (2010) 253–271; the mean of
 * rounded readings, Wilrich, Accred. Qual. Assur. 10 (2005) 4–14; Student's t for the rest.
 * @param rows predictors, a row for each reading
 * @param step of all readings, or of each, in the unit of `y`; 0 for readings without a step
 * @param settings which readings were made at one setting; left out: those of equal rows
 * @returns null as `linearFit`
 */
export function roundedFit(
  rows: readonly (readonly number[])[],
  y: readonly number[],
  step: number | readonly number[],
  settings: readonly string[] = rows.map((row) => row.join(' ')),
): RoundedFit | null {
  const fit = linearFit(rows, y);
  if (fit === null) return null;
  const steps = typeof step === 'number' ? rows.map(() => step) : step;
  const meanStep = steps.reduce((sum, one) => sum + one, 0) / Math.max(1, steps.length);
  const seen = Number.isNaN(fit.residualSd) ? 0 : fit.residualSd;
  const scatterSd = Math.max(seen, leastScatter(meanStep));
  const shareHidden = shareHiddenByRounding(seen, meanStep);
  const half = (columns: readonly number[], more: number, free: number) => {
    if (free < 1) return Infinity;
    const byScatter = student975(free) * scatterSd * Math.sqrt(more + leverage(fit, columns));
    if (shareHidden === 0) return byScatter;
    const hidden = hiddenByRounding(weightsOf(fit, rows, columns), settings, steps);
    return Math.sqrt(byScatter ** 2 + shareHidden * hidden ** 2);
  };
  return {
    ...fit,
    scatterSd: Number.isNaN(fit.residualSd) ? Number.NaN : scatterSd,
    halfWidth95: (columns, free = fit.degreesOfFreedom) => half(columns, 0, free),
    predictionHalfWidth95: (columns) => half(columns, 1, fit.degreesOfFreedom),
  };
}

/** An estimate with its 95 % interval. */
export interface Estimate {
  value: number;
  low95: number;
  high95: number;
}

/**
 * A coefficient of a fit with its interval; one that was not fitted is exactly 0.
 *
 * @param degreesOfFreedom those of the fit, or fewer where its weights were estimated from few
 */
export function estimateOf(
  fit: RoundedFit,
  index: number,
  degreesOfFreedom = fit.degreesOfFreedom,
): Estimate {
  const value = fit.coefficients[index];
  if (value === undefined) return { value: 0, low95: 0, high95: 0 };
  const columns = fit.coefficients.map((_, i) => (i === index ? 1 : 0));
  const half = fit.halfWidth95(columns, degreesOfFreedom);
  return { value, low95: value - half, high95: value + half };
}
