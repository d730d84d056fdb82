import { median } from '../stats/median';
import { firstAtOrAfter, type HeadingLog, type Span } from '../channels/log';
import { squareWithoutRounding } from './randomWalk';

/** How long a touch may take: changes are looked for over each of these times. */
const LAGS_S = [0.25, 1, 4];
/** The trend is followed over this time, so that a slow warm-up is no touch. */
const TREND_S = 20;
/** Changes beyond this many robust standard deviations are no noise. */
const FAR = 5.5;
/** A change of nearly two steps of the reading is seen when the noise is below the step. */
const STEPS = 1.84;

/** What is left out on either side of a touch, for the robot to come to rest. */
const MARGIN_S = 0.4;

/** Mean rates over (about) a lag, each at the time at which it begins: time stamps may jitter. */
function ratesOver({ tS, headingRad }: HeadingLog, lagS: number) {
  const length = firstAtOrAfter(tS, (tS.at(-1) ?? 0) - lagS + 1e-9);
  const rate = new Float64Array(length);
  let j = 0;
  for (let i = 0; i < length; i += 1) {
    while (j < tS.length - 1 && (tS[j] ?? 0) < (tS[i] ?? 0) + lagS) j += 1;
    const change = (headingRad[j] ?? 0) - (headingRad[i] ?? 0);
    rate[i] = change / ((tS[j] ?? 0) - (tS[i] ?? 0));
  }
  return rate;
}

/**
 * The middle rate around each moment, straight between the middles of pieces: what the drift does by
 * itself, also while a sensor warms up.
 */
function trendOf(tS: Float64Array, rate: Float64Array): Float64Array {
  const start = tS[0] ?? 0;
  const end = tS[rate.length - 1] ?? start;
  const pieces = Math.max(1, Math.round((end - start) / (TREND_S / 2)));
  const pieceS = (end - start) / pieces;
  const knots = Array.from({ length: pieces }, (_, piece) => {
    const from = firstAtOrAfter(tS, start + pieceS * piece - TREND_S / 4);
    const last = firstAtOrAfter(tS, start + pieceS * (piece + 1) + TREND_S / 4);
    const to = Math.min(rate.length, last + 1);
    const centreS = ((tS[from] ?? start) + (tS[to - 1] ?? end)) / 2;
    return { centreS, middle: median(rate.subarray(from, to)) };
  });
  let at = 1;
  return rate.map((_, i) => {
    const t = tS[i] ?? 0;
    while (at < pieces - 1 && t > (knots[at]?.centreS ?? t)) at += 1;
    const a = knots[at - 1] ?? { centreS: start, middle: 0 };
    const b = knots[at] ?? a;
    const share = b.centreS > a.centreS ? (t - a.centreS) / (b.centreS - a.centreS) : 0;
    return a.middle + (b.middle - a.middle) * share;
  });
}

/** Changes beyond this many upper quartiles may be touches, and do not count for the spread. */
const MOST_QUARTILES = 2.5;

/**
 * A robust standard deviation of the true changes, from which a quarter may be touched: the upper
 * quartile where the reading has no step; else the mean square of all but the largest, less what
 * rounding adds (quartiles of rounded changes are themselves whole steps).
 *
 * @param beyond sizes of the changes beyond the trend
 * @param meanChange that the trend makes, in the same unit
 */
function spreadOf(beyond: Float64Array, meanChange: number, quantum: number): number {
  const quartile = beyond.slice().sort()[Math.floor(0.75 * beyond.length)] ?? 0;
  if (quantum === 0) return quartile / 1.1503;
  const usual = beyond.filter((size) => size <= MOST_QUARTILES * quartile + 1.5 * quantum);
  const square = usual.reduce((sum, size) => sum + size * size, 0) / Math.max(1, usual.length);
  return quantum * squareWithoutRounding(square / quantum ** 2, meanChange / quantum);
}

/** Steps of the heading, and of the rate that it was integrated from; 0 for none. */
interface Steps {
  headingRad: number;
  rateRadPerS: number;
}

function touchesOver(
  log: HeadingLog,
  lagS: number,
  steps: Steps,
  known: Span[],
  leastSpread: number,
): { spans: Span[]; spread: number } {
  const rate = ratesOver(log, lagS);
  if (rate.length < 8) return { spans: [], spread: leastSpread };
  const trend = trendOf(log.tS, rate);
  const beyond = rate.map((value, i) => Math.abs(value - (trend[i] ?? 0)) * lagS);
  const meanChange = (trend.reduce((sum, value) => sum + value, 0) / trend.length) * lagS;
  const spread = Math.max(leastSpread, spreadOf(beyond, meanChange, steps.headingRad));
  // Rounding hides up to one step of a change; two steps are seen where there is no noise at all.
  const limit = Math.max(
    STEPS * (steps.headingRad + steps.rateRadPerS * lagS),
    steps.headingRad + FAR * spread,
  );
  if (limit === 0) return { spans: [], spread };
  const isKnown = (t: number) => known.some(({ fromS, toS }) => t <= toS && t + lagS >= fromS);
  // Starts of changes that are too large, run by run.
  const runs: Span[] = [];
  beyond.forEach((value, i) => {
    const t = log.tS[i] ?? 0;
    if (value < limit || isKnown(t)) return;
    const last = runs.at(-1);
    if (last !== undefined && t - last.toS < lagS / 2) last.toS = t;
    else runs.push({ fromS: t, toS: t });
  });
  // A touch from u to v is in all changes that begin between u − lag and v.
  const spans = runs.map(({ fromS, toS }) => ({
    fromS: Math.min(fromS + lagS, toS),
    toS: Math.max(fromS + lagS, toS),
  }));
  return { spans, spread };
}

/**
 * Stretches in which the robot was touched or knocked: lasting steps and bursts beyond the trend of
 * at least two steps of the reading, and far outside the robust spread of its changes. Short ones are
 * looked for first; what they explain is no slow touch as well.
 *
 * @param quantumRad step of the heading; 0 for none
 * @param rateQuantumRadPerS step of the rate that the heading was integrated from, or 0
 */
export function findTouches(log: HeadingLog, quantumRad: number, rateQuantumRadPerS = 0): Span[] {
  const start = log.tS[0] ?? 0;
  const end = log.tS.at(-1) ?? 0;
  const steps = { headingRad: quantumRad, rateRadPerS: rateQuantumRadPerS };
  let found: Span[] = [];
  let before = { lagS: 1, spread: 0 };
  for (const lagS of LAGS_S) {
    // A walk spreads with the root of the time: no less over a longer one than the shorter shows.
    const least = before.spread * Math.sqrt(lagS / before.lagS);
    const { spans, spread } = touchesOver(log, lagS, steps, found, least);
    before = { lagS, spread };
    const more = spans.map(({ fromS, toS }) => ({
      fromS: Math.max(start, fromS - MARGIN_S),
      toS: Math.min(end, toS + MARGIN_S),
    }));
    found = joined([...found, ...more]);
  }
  return found;
}

/** Two touches within a second are one: a hand comes and goes. */
function joined(spans: Span[]): Span[] {
  const result: Span[] = [];
  for (const span of spans.sort((a, b) => a.fromS - b.fromS)) {
    const last = result.at(-1);
    if (last !== undefined && span.fromS <= last.toS + 1) last.toS = Math.max(last.toS, span.toS);
    else result.push({ ...span });
  }
  return result;
}
