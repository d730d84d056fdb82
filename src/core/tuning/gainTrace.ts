import { judgeGain, type GainJudgement, type Trace } from './judge';

/** Slope of one quantity on another, through the origin. */
function slope(x: readonly number[], y: readonly number[]): number {
  const top = x.reduce((sum, value, i) => sum + value * (y[i] ?? 0), 0);
  const bottom = x.reduce((sum, value) => sum + value * value, 0);
  return bottom === 0 ? 0 : top / bottom;
}

/** Change of the error per second over a short while, so that its noise does not drown it. */
const WHILE_S = 0.1;

/** By how much the error changes per second after each moment; NaN at the end. */
function changeOf({ tS, error }: Trace): number[] {
  let j = 0;
  return tS.map((t, i) => {
    while (j < tS.length && (tS[j] ?? 0) < t + WHILE_S) j += 1;
    return j >= tS.length ? Number.NaN : ((error[j] ?? 0) - (error[i] ?? 0)) / ((tS[j] ?? 0) - t);
  });
}

/** Beyond half a turn a program that takes the shorter way turns back whatever its sign: what comes then tells nothing. */
const QUARTER_RAD = Math.PI / 2;

/**
 * Whether a heading's correction works against its error, whichever way both are counted: what the correction does
 * to the error, times what the error does to the correction, is negative.
 */
export function worksAgainst(trace: Trace): boolean {
  const change = changeOf(trace);
  const from = trace.error.findIndex((error) => Math.abs(error) <= QUARTER_RAD);
  const goneAt = trace.error.findIndex((error, i) => i > from && Math.abs(error) > QUARTER_RAD);
  const known = change.flatMap((value, i) =>
    Number.isNaN(value) || i < from || (goneAt >= 0 && i >= goneAt) ? [] : [i],
  );
  const of = (values: readonly number[]) => known.map((i) => values[i] ?? 0);
  const correction = of(trace.correction);
  return slope(correction, of(change)) * slope(of(trace.error), correction) < 0;
}

/**
 * Judges the gain of a controller of the heading (hold, turn, encoder balance) by a trace of a disturbance.
 *
 * @param trace error in radians, correction in radians a second, each counted as it may be
 * @param bandRad what counts as back on the target; a share of the largest error where it is left out
 * @returns null for a trace too short to tell
 */
export const gainTrace = (trace: Trace, bandRad?: number): GainJudgement | null =>
  judgeGain(trace, worksAgainst(trace), { order: 1, band: bandRad });
