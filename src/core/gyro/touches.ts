import { firstAtOrAfter, type HeadingLog, type Span } from './log';

/** How long a touch may take: changes are looked for over each of these times. */
const LAGS_S = [0.25, 1, 4];
/** The trend is followed over this time, so that a slow warm-up is no touch. */
const TREND_S = 20;
/** Changes beyond this many robust standard deviations are no noise. */
const FAR = 5.5;
/** A change of nearly two steps of the reading is seen when the noise is below the step. */
const STEPS = 1.84;

const median = (sorted: Float64Array): number => {
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1
    ? (sorted[middle] ?? 0)
    : ((sorted[middle - 1] ?? 0) + (sorted[middle] ?? 0)) / 2;
};

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

/** The middle rate around each moment: what the drift does by itself. */
function trendOf(tS: Float64Array, rate: Float64Array): Float64Array {
  const trend = new Float64Array(rate.length);
  const start = tS[0] ?? 0;
  const end = tS[rate.length - 1] ?? start;
  const pieces = Math.max(1, Math.round((end - start) / (TREND_S / 2)));
  for (let piece = 0; piece < pieces; piece += 1) {
    const at = (k: number) => start + ((end - start) * k) / pieces;
    const from = firstAtOrAfter(tS, at(piece) - TREND_S / 4);
    const to = Math.min(rate.length, firstAtOrAfter(tS, at(piece + 1) + TREND_S / 4) + 1);
    const middle = median(rate.slice(from, to).sort());
    const first = firstAtOrAfter(tS, at(piece));
    const last = piece === pieces - 1 ? rate.length : firstAtOrAfter(tS, at(piece + 1));
    trend.fill(middle, first, last);
  }
  return trend;
}

/**
 * A robust standard deviation, from the upper quartile: the median of rounded changes is often 0.
 * Up to a quarter of the changes may be touched.
 */
const spreadOf = (beyond: Float64Array): number =>
  (beyond.slice().sort()[Math.floor(0.75 * beyond.length)] ?? 0) / 1.1503;

function touchesOver(log: HeadingLog, lagS: number, floorRad: number, known: Span[]): Span[] {
  const rate = ratesOver(log, lagS);
  if (rate.length < 8) return [];
  const trend = trendOf(log.tS, rate);
  const beyond = rate.map((value, i) => Math.abs(value - (trend[i] ?? 0)) * lagS);
  const limit = Math.max(floorRad, FAR * spreadOf(beyond));
  if (limit === 0) return [];
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
  return runs.map(({ fromS, toS }) => ({
    fromS: Math.min(fromS + lagS, toS),
    toS: Math.max(fromS + lagS, toS),
  }));
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
  let found: Span[] = [];
  for (const lagS of LAGS_S) {
    const floor = STEPS * (quantumRad + rateQuantumRadPerS * lagS);
    const more = touchesOver(log, lagS, floor, found).map(({ fromS, toS }) => ({
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
