import { incompleteBeta } from '../stats/incompleteBeta';
import { mean } from '../stats/moments';
import { rootBetween } from '../stats/root';
import { wilson } from '../stats/wilson';

/** A chance over all robots that this one may be, and between which chances its own lies (95 %). */
export interface RobotRange {
  rate: number;
  low: number;
  high: number;
}

/** The value below which a share of a beta distribution lies. */
const betaQuantile = (share: number, a: number, b: number): number =>
  rootBetween((x) => incompleteBeta(x, a, b) - share, 0, 1);

/**
 * The intraclass correlation of the runs of one robot, beyond what a few runs scatter by themselves, by the
 * method of moments; taken one standard error larger, so that what cannot be told is not taken for nothing.
 *
 * Source: Griffiths, Biometrics 29 (1973) 637–648, for the beta-binomial distribution; Fisher, Statistical
 * Methods for Research Workers, 1925, section 39, for the error of an intraclass correlation.
 */
function intraclassCorrelation(worked: readonly number[], runsEach: number, rate: number): number {
  const binomial = rate * (1 - rate);
  if (runsEach < 2 || binomial === 0) return 0;
  const variance = mean(worked.map((k) => (k / runsEach - rate) ** 2));
  const correlation = Math.max(0, (variance / binomial - 1 / runsEach) / (1 - 1 / runsEach));
  const error =
    ((1 - correlation) * (1 + (runsEach - 1) * correlation) * Math.SQRT2) /
    Math.sqrt(runsEach * (runsEach - 1) * worked.length);
  return Math.min(MOST_ALIKE, correlation + error);
}

/** Two runs of one robot are never exactly the same. */
const MOST_ALIKE = 0.999;

/**
 * Between which chances one robot's own lies, from a few runs of each of many sampled robots: their chances
 * are taken for a beta distribution. It is never narrower than what so many runs can tell (Wilson).
 *
 * @param worked of each robot, how many of its runs worked
 * @param runsEach runs of each robot; with one there is nothing that they could have in common
 */
export function robotRange(worked: readonly number[], runsEach: number): RobotRange | null {
  const total = worked.reduce((sum, k) => sum + k, 0);
  const told = wilson(total, worked.length * runsEach);
  if (told === null) return null;
  const { rate, low95, high95 } = told;
  const correlation = intraclassCorrelation(worked, runsEach, rate);
  if (correlation === 0) return { rate, low: low95, high: high95 };
  const size = 1 / correlation - 1;
  const [a, b] = [rate * size, (1 - rate) * size];
  return {
    rate,
    low: Math.min(low95, betaQuantile(0.025, a, b)),
    high: Math.max(high95, betaQuantile(0.975, a, b)),
  };
}
