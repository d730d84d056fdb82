import { radiansFromDegrees } from '../geometry/angle';
import { angleStepRad, lengthStepM } from '../stats/instrumentStep';
import type { LinearFit } from '../stats/linearFit';
import { estimateOf, roundedFit, type Estimate, type RoundedFit } from '../stats/roundedFit';
import { tellApart } from './tellApart';

/** Where a straight drive ended beside its line, and how far it turned meanwhile; null where nobody measured it. */
export interface SidewaysTrial {
  actualM: number;
  /** To the left positive. */
  sidewaysM: number | null;
  headingChangeRad?: number | null;
}

/** Where the sideways offset comes from; a term that cannot be told from the other is 0. */
export interface SidewaysModel {
  startHeadingErrorRad: Estimate;
  trimRadPerM: Estimate;
  /** Whether the distances, or how far it turned meanwhile, tell both terms apart. */
  areApart: boolean;
  residualSdM: number;
}

/** One measured figure of a drive. */
interface Row {
  of: 'offset' | 'heading';
  predictors: [number, number];
  value: number;
}

/** As well as a tape and a protractor are read: how the two count against each other at first. */
const READ_SD = { offset: 0.0015, heading: radiansFromDegrees(0.5) };
/** With so many of both, each counts as it scatters. */
const LEAST_TO_WEIGH = 4;

const rowsOf = (trials: readonly SidewaysTrial[]): Row[] =>
  trials.flatMap(({ actualM: s, sidewaysM, headingChangeRad = null }): Row[] => [
    ...(sidewaysM === null
      ? []
      : [
          {
            of: 'offset' as const,
            predictors: [s, s ** 2 / 2] as [number, number],
            value: sidewaysM,
          },
        ]),
    ...(headingChangeRad === null
      ? []
      : [
          {
            of: 'heading' as const,
            predictors: [0, s] as [number, number],
            value: headingChangeRad,
          },
        ]),
  ]);

type Sds = Record<Row['of'], number>;

/** The steps in which offsets and headings were read. */
const stepsOf = (rows: readonly Row[]): Sds => {
  const values = (of: Row['of']) => rows.filter((row) => row.of === of).map(({ value }) => value);
  return { offset: lengthStepM(values('offset')), heading: angleStepRad(values('heading')) };
};

const fitOf = (rows: readonly Row[], terms: 1 | 2, sds: Sds): RoundedFit | null => {
  const steps = stepsOf(rows);
  return roundedFit(
    rows.map(({ of, predictors }) => predictors.slice(0, terms).map((one) => one / sds[of])),
    rows.map(({ of, value }) => value / sds[of]),
    rows.map(({ of }) => steps[of] / sds[of]),
  );
};

/**
 * How offsets and headings scatter about a fit, each by itself: the squares of its residuals by the share of them that
 * the fit leaves free (Koch, Parameter Estimation and Hypothesis Testing in Linear Models, 1999, section 3.6).
 */
function scatterOf(rows: readonly Row[], fit: LinearFit, sds: Sds): Sds {
  const [heading = 0, trim = 0] = fit.coefficients;
  const [[c11 = 0, c12 = 0] = [], [, c22 = 0] = []] = fit.unscaledCovariance;
  const sd = (of: Row['of']) => {
    const own = rows.filter((row) => row.of === of);
    const squares = own.reduce(
      (sum, { predictors: [a, b], value }) => sum + (value - heading * a - trim * b) ** 2,
      0,
    );
    const free = own.reduce(
      (sum, { predictors: [a, b] }) =>
        sum + 1 - (a * a * c11 + 2 * a * b * c12 + b * b * c22) / sds[of] ** 2,
      0,
    );
    return Math.max(Math.sqrt(squares / Math.max(free, 0.5)), READ_SD[of] / 100);
  };
  return { offset: sd('offset'), heading: sd('heading') };
}

/** So many rounds bring the weights to rest. */
const ROUNDS = 6;

/** The fit with weights as it scatters itself. */
function weighedFit(rows: readonly Row[]): { fit: RoundedFit | null; sds: Sds } {
  let sds: Sds = READ_SD;
  let fit = fitOf(rows, 2, sds);
  for (let round = 0; round < ROUNDS && fit !== null; round += 1) {
    sds = scatterOf(rows, fit, sds);
    fit = fitOf(rows, 2, sds);
  }
  return { fit, sds };
}

/**
 * Where straight drives go to the side: a heading that is wrong from the start grows with the distance s, a pull to
 * one side with s²/2, and only the pull turns the robot, by pull · s. Offsets and turns are fitted together, each
 * weighted by how well it is read, or by how it scatters where there are enough of both.
 *
 * Source: weighted least squares with estimated weights (Seber and Lee, Linear Regression Analysis, 2003, section
 * 10.3), intervals by Student's t.
 * @returns null where fewer than two offsets were measured
 */
export function sidewaysModel(trials: readonly SidewaysTrial[]): SidewaysModel | null {
  const rows = rowsOf(trials);
  const offsets = trials.filter(({ sidewaysM }) => sidewaysM !== null);
  const headings = rows.length - offsets.length;
  if (offsets.length < 2) return null;
  const areApart =
    headings >= 2 || (offsets.length > 2 && tellApart(offsets.map(({ actualM }) => actualM)));
  const used = areApart ? rows : rows.filter(({ of }) => of === 'offset');
  const weighs = areApart && Math.min(headings, offsets.length) >= LEAST_TO_WEIGH;
  const { fit, sds } = weighs
    ? weighedFit(used)
    : { fit: fitOf(used, areApart ? 2 : 1, READ_SD), sds: READ_SD };
  if (fit === null) return null;
  // Either term may rest on one kind alone: no surer than the fewer tell.
  const free = weighs ? Math.min(headings, offsets.length) - 1 : fit.degreesOfFreedom;
  return {
    startHeadingErrorRad: estimateOf(fit, 0, free),
    trimRadPerM: estimateOf(fit, 1, free),
    areApart,
    residualSdM: fit.scatterSd * sds.offset,
  };
}
