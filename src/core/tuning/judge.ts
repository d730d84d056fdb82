import { swingsOf, type Swings } from './swings';

export type GainVerdict = 'good' | 'too-weak' | 'too-strong' | 'wrong-sign';

/** A trace of a controller at work. */
export interface Trace {
  tS: readonly number[];
  /** What it is to bring to 0. */
  error: readonly number[];
  correction: readonly number[];
}

export interface GainJudgement {
  verdict: GainVerdict;
  /** The next gain over this one; negative: its sign is to be turned round. */
  proposedGainFactor: number;
  swings: Swings;
  /** Share of the time for which the correction stood at its largest. */
  saturatedShare: number;
}

/** A disturbance that takes longer to come back is brought back too weakly. */
export const RETURN_LIMIT_S = 2;
/** What the next gain aims at. */
const RETURN_GOAL_S = 0.7;
/** Successive half swings that keep more than this of their size do not die out in time. */
const DECAY_LIMIT = 0.68;
/** So many swings show a decay. */
const LEAST_SWINGS = 3;
/** An error that grows to so many times its first size runs away. */
const RUN_AWAY = 2.5;
const AT_LIMIT = 0.98;
/** One proposal changes a gain by so much at most: another trace tells more than a guess. */
const MOST_CHANGE = 6;
/** An exponential falls into the band in about so many time constants. */
const CONSTANTS_TO_BAND = 2.1;

function saturatedShare(correction: readonly number[]): number {
  const most = correction.reduce((largest, value) => Math.max(largest, Math.abs(value)), 0);
  if (most === 0) return 0;
  return (
    correction.filter((value) => Math.abs(value) >= AT_LIMIT * most).length / correction.length
  );
}

const clamp = (value: number, low: number, high: number): number =>
  Math.min(high, Math.max(low, value));

/** Time constant of an error that shrinks or grows to one side, from its farthest points; null where it stands. */
function timeConstantS(
  tS: readonly number[],
  error: readonly number[],
  fromS: number,
): number | null {
  const points = tS.flatMap((t, i) => {
    const size = Math.abs(error[i] ?? 0);
    return t < fromS || size === 0 ? [] : [{ t, log: Math.log(size) }];
  });
  const n = points.length;
  if (n < 2) return null;
  const meanT = points.reduce((sum, { t }) => sum + t, 0) / n;
  const meanLog = points.reduce((sum, { log }) => sum + log, 0) / n;
  const top = points.reduce((sum, { t, log }) => sum + (t - meanT) * (log - meanLog), 0);
  const bottom = points.reduce((sum, { t }) => sum + (t - meanT) ** 2, 0);
  return top === 0 || bottom === 0 ? null : Math.abs(bottom / top);
}

/** How much stronger a return has to be that takes so long; `order` is how its time goes with the gain. */
const strongerBy = (returnS: number, order: 1 | 2): number =>
  clamp((returnS / RETURN_GOAL_S) ** order, 1.5, MOST_CHANGE);

/** How much weaker, by how the swings die out. */
function weakerBy({ decay }: Swings): number {
  if (decay === null || decay >= 1) return 1 / 3;
  return decay > 0.85 ? 0.4 : 0.6;
}

/**
 * Judges a gain by how the error goes: whether it comes back at all, in time, and without swinging on.
 *
 * @param isFedBack whether the correction works against the error, as far as that can be told
 * @param order 1 for a heading (the return time goes with 1/gain), 2 for a distance to a wall or line (1/√gain)
 * @returns null for a trace that is too short to tell: no disturbance, or it ends before a return could be seen
 */
export function judgeGain(trace: Trace, isFedBack: boolean, order: 1 | 2): GainJudgement | null {
  const { tS, error, correction } = trace;
  const swings = swingsOf(tS, error);
  const [first] = swings.swings;
  if (first === undefined) return null;
  const evidence = { swings, saturatedShare: saturatedShare(correction) };
  const largest = swings.swings.reduce((most, swing) => Math.max(most, Math.abs(swing.error)), 0);
  const began = Math.abs(error.find((value) => Math.abs(value) > swings.band) ?? first.error);
  if (!isFedBack && (swings.swings.length < LEAST_SWINGS || largest > RUN_AWAY * began)) {
    const constant = timeConstantS(tS, error, tS[0] ?? 0) ?? RETURN_GOAL_S;
    const factor = clamp((CONSTANTS_TO_BAND * constant) / RETURN_GOAL_S, 1 / 3, MOST_CHANGE);
    return { verdict: 'wrong-sign', proposedGainFactor: -factor, ...evidence };
  }
  const { returnS, decay, afterS } = swings;
  const isSlow = returnS === null || returnS > RETURN_LIMIT_S;
  if (returnS === null && afterS < RETURN_LIMIT_S) return null;
  if (!isSlow && swings.swings.length >= LEAST_SWINGS && (decay ?? 0) > DECAY_LIMIT) {
    return { verdict: 'too-strong', proposedGainFactor: weakerBy(swings), ...evidence };
  }
  if (isSlow) {
    const constant = timeConstantS(tS, error, first.tS);
    const expectedS = returnS ?? Math.max(afterS, CONSTANTS_TO_BAND * (constant ?? afterS));
    return { verdict: 'too-weak', proposedGainFactor: strongerBy(expectedS, order), ...evidence };
  }
  return { verdict: 'good', proposedGainFactor: 1, ...evidence };
}
