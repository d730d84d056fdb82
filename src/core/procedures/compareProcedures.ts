import { z } from 'zod';
import { compareSeries } from '../compare/compareSeries';
import { controlChart } from '../compare/controlChart';
import { runsNeeded } from '../compare/runsNeeded';
import { compareSentence } from '../compare/sentence';
import { poseSchema } from '../table/table';
import { measuredRun } from './measuredRun';
import { procedure, type Procedure } from '../procedure/procedure';

const MAX_RUNS = 100_000;
const series = z.array(measuredRun).max(MAX_RUNS);

const compareInput = z.strictObject({ a: series, b: series, target: poseSchema });

const chartInput = z.strictObject({
  values: z.array(z.number()).max(MAX_RUNS),
  breaks: z
    .array(z.number().int().min(0))
    .max(MAX_RUNS)
    .default([])
    .describe('indexes at which a new stretch begins'),
});

const share = z.number().gt(0).lt(1);
const chances = { power: share.default(0.8), alpha: share.default(0.05) };
const rate = z.number().min(0).max(1);
const positive = z.number().positive();

const runsNeededInput = z.union([
  z.strictObject({ sdM: positive, differenceM: positive, ...chances }),
  z.strictObject({ sdM: positive.optional(), ratio: positive, ...chances }),
  z.strictObject({ rateA: rate, rateB: rate, ...chances }),
]);

/** Procedures that ask whether something helped. */
export const compareProcedures: readonly Procedure[] = [
  procedure(
    'compare',
    'whether one series differs from another: aim, spread and success, and one verdict',
    compareInput,
    ({ a, b, target }) => {
      const comparison = compareSeries(a, b, target);
      return { sentence: compareSentence(comparison), ...comparison };
    },
  ),
  procedure(
    'control-chart',
    'individuals and moving-range chart of values in their order, with breaks',
    chartInput,
    ({ values, breaks }) => controlChart(values, breaks),
  ),
  procedure(
    'runs-needed',
    'runs that each of two series needs to show a difference; null: more than 500',
    runsNeededInput,
    ({ power, alpha, ...difference }) => ({ perSeries: runsNeeded(difference, power, alpha) }),
  ),
];
