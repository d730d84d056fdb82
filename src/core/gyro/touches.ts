import { firstAtOrAfter, type HeadingLog, type Span } from './log';

/** How long a touch may take: changes are looked for over each of these times. */
const LAGS_S = [0.25, 1, 4];
/** The trend is followed over this time, so that a slow warm-up is no touch. */
const TREND_S = 20;
/** Changes beyond this many robust standard deviations are no noise. */
const FAR = 5;
/** A change of nearly two steps of the reading is seen when the noise is below the step. */
const STEPS = 1.84;

const median = (sorted: Float64Array): number => {
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1
    ? (sorted[middle] ?? 0)
    : ((sorted[middle - 1] ?? 0) + (sorted[middle] ?? 0)) / 2;
};

/** Changes of the heading over a lag, each at the time at which it begins. */
function changesOver({ tS, headingRad }: HeadingLog, lagS: number) {
  const length = firstAtOrAfter(tS, (tS.at(-1) ?? 0) - lagS + 1e-9);
  const change = new Float64Array(length);
  let j = 0;
  for (let i = 0; i < length; i += 1) {
    while (j < tS.length - 1 && (tS[j] ?? 0) < (tS[i] ?? 0) + lagS) j += 1;
    change[i] = (headingRad[j] ?? 0) - (headingRad[i] ?? 0);
  }
  return change;
}

/** The middle change around each moment: what the drift does by itself. */
function trendOf(tS: Float64Array, change: Float64Array): Float64Array {
  const trend = new Float64Array(change.length);
  const start = tS[0] ?? 0;
  const end = tS[change.length - 1] ?? start;
  const pieces = Math.max(1, Math.round((end - start) / (TREND_S / 2)));
  for (let piece = 0; piece < pieces; piece += 1) {
    const at = (k: number) => start + ((end - start) * k) / pieces;
    const from = firstAtOrAfter(tS, at(piece) - TREND_S / 4);
    const to = Math.min(change.length, firstAtOrAfter(tS, at(piece + 1) + TREND_S / 4) + 1);
    const middle = median(change.slice(from, to).sort());
    const first = firstAtOrAfter(tS, at(piece));
    const last = piece === pieces - 1 ? change.length : firstAtOrAfter(tS, at(piece + 1));
    trend.fill(middle, first, last);
  }
  return trend;
}

function touchesOver(log: HeadingLog, lagS: number, floorRad: number): Span[] {
  const change = changesOver(log, lagS);
  if (change.length < 8) return [];
  const trend = trendOf(log.tS, change);
  const beyond = change.map((value, i) => Math.abs(value - (trend[i] ?? 0)));
  const spread = 1.4826 * median(beyond.slice().sort());
  const limit = Math.max(floorRad, FAR * spread);
  if (limit === 0) return [];
  const spans: Span[] = [];
  beyond.forEach((value, i) => {
    if (value < limit) return;
    const t = log.tS[i] ?? 0;
    spans.push({ fromS: t, toS: t + lagS });
  });
  return spans;
}

/**
 * Stretches in which the robot was touched or knocked: lasting steps and bursts beyond the trend of
 * at least two steps of the reading, and far outside the robust spread of its changes.
 *
 * @param quantumRad step of the heading; 0 for none
 * @param rateQuantumRadPerS step of the rate that the heading was integrated from, or 0
 */
export function findTouches(
  log: HeadingLog,
  quantumRad: number,
  rateQuantumRadPerS = 0,
): Span[] {
  const found = LAGS_S.flatMap((lagS) =>
    touchesOver(log, lagS, STEPS * (quantumRad + rateQuantumRadPerS * lagS)),
  ).sort((a, b) => a.fromS - b.fromS);
  const joined: Span[] = [];
  for (const span of found) {
    const last = joined.at(-1);
    // Two touches within a second are one: a hand comes and goes.
    if (last !== undefined && span.fromS <= last.toS + 1) last.toS = Math.max(last.toS, span.toS);
    else joined.push({ ...span });
  }
  const start = log.tS[0] ?? 0;
  const end = log.tS.at(-1) ?? 0;
  return joined.map(({ fromS, toS }) => ({
    fromS: Math.max(start, fromS - 0.2),
    toS: Math.min(end, toS + 0.2),
  }));
}
