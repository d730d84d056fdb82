import { median } from '../stats/median';
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
/** A swing that is no more than so many bands is one that noise may have made. */
const CLEAR_OF_BAND = 1.5;
/** An error that grows to so many times its first size runs away. */
const RUN_AWAY = 2.5;
/** Half swings that are each so much larger than the one before: no gain is too weak for that. */
const GROWS = 1.05;
const AT_LIMIT = 0.98;
/** A correction that stands at its limits for so much of the time cannot be made stronger. */
const LIMIT_SHARE = 0.3;
/** A correction that stands at its limits for so much of the time after a return chatters. */
const CHATTER_SHARE = 0.25;
/** The error of the last part of a trace is to be small. */
const LAST_SHARE = 0.15;
/** One proposal changes a gain by so much at most: another trace tells more than a guess. */
const MOST_CHANGE = 6;
/** A gain that is too weak to damp is made so much stronger. */
const WEAVING_FACTOR = 3;
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

const evidenceOf = ({ tS, error, correction }: Trace, band?: number) => ({
  swings: swingsOf(tS, error, band),
  saturatedShare: saturatedShare(correction),
});

/** How much stronger a return has to be that takes so long; `order` is how its time goes with the gain. */
const strongerBy = (returnS: number, order: 1 | 2): number =>
  clamp((returnS / RETURN_GOAL_S) ** order, 1.5, MOST_CHANGE);

/** How much weaker, by how the swings die out. */
function weakerBy({ decay }: Swings): number {
  if (decay === null || decay >= 1) return 1 / 3;
  return decay > 0.85 ? 0.4 : 0.6;
}

/** Of a correction that drives the error on. */
export function wrongSign(trace: Trace): GainJudgement {
  const { tS, error } = trace;
  const constant = timeConstantS(tS, error, tS[0] ?? 0) ?? RETURN_GOAL_S;
  const factor = clamp((CONSTANTS_TO_BAND * constant) / RETURN_GOAL_S, 1 / 3, MOST_CHANGE);
  return { verdict: 'wrong-sign', proposedGainFactor: -factor, ...evidenceOf(trace) };
}

/** Of a robot that turned so far towards a wall that it ran into it: nothing else of its trace is to be judged. */
export const ranIntoWall = (trace: Trace): GainJudgement => ({
  verdict: 'too-strong',
  proposedGainFactor: 1 / 3,
  ...evidenceOf(trace),
});

/** What is known of a controller, besides its trace. */
export interface JudgedBy {
  /** How the time of a return goes: 1 for a heading (with 1/gain), 2 for a distance to a wall or line (1/√gain). */
  order: 1 | 2;
  /** What counts as back on the target; a share of the largest error where it is left out. */
  band?: number | undefined;
  /** Half a swing that takes longer is one that a stronger gain damps; where it is left out, none is. */
  weavesFromS?: number | undefined;
  /** A correction of more than this share of the largest stands at its limit; less where wheels tell of it, late. */
  limitShare?: number | undefined;
}

/** Whether a correction stands at its largest to both sides by turns, though the error stays small by it. */
function chatters({ tS, correction }: Trace, fromS: number, limitShare: number): boolean {
  const most = limitShare * correction.reduce((top, value) => Math.max(top, Math.abs(value)), 0);
  const after = correction.filter((_, i) => (tS[i] ?? 0) > fromS);
  const [left, right] = [1, -1].map((side) => after.filter((value) => side * value >= most).length);
  return Math.min(left ?? 0, right ?? 0) > (CHATTER_SHARE / 2) * after.length && most > 0;
}

/** Whether the error is back for good: its middle over the last while. */
function staysNear({ tS, error }: Trace, { band, afterS }: Swings): boolean {
  const fromS = (tS.at(-1) ?? 0) - LAST_SHARE * afterS;
  return median(error.filter((_, i) => (tS[i] ?? 0) >= fromS).map(Math.abs)) <= band;
}

/** Median time from one farthest point to the next, s; null with fewer than two. */
function halfPeriodS({ swings }: Swings): number | null {
  const times = swings.slice(1).map(({ tS }, i) => tS - (swings[i]?.tS ?? tS));
  return times.length === 0 ? null : median(times);
}

/**
 * Judges a gain by how the error goes: whether it comes back at all, in time, and without swinging on.
 *
 * @param isFedBack whether the correction works against the error, as far as that can be told
 * @returns null for a trace that is too short to tell: no disturbance, or it ends before a return could be seen
 */
export function judgeGain(
  trace: Trace,
  isFedBack: boolean,
  { order, band, weavesFromS = Infinity, limitShare = AT_LIMIT }: JudgedBy,
): GainJudgement | null {
  const { tS, error } = trace;
  const evidence = evidenceOf(trace, band);
  const { swings } = evidence;
  const [first] = swings.swings;
  if (first === undefined) return null;
  const largest = swings.swings.reduce((most, swing) => Math.max(most, Math.abs(swing.error)), 0);
  const began = Math.abs(error.find((value) => Math.abs(value) > swings.band) ?? first.error);
  if (!isFedBack && (swings.swings.length < LEAST_SWINGS || largest > RUN_AWAY * began)) {
    return wrongSign(trace);
  }
  const { returnS, decay, afterS } = swings;
  if (returnS === null && afterS < RETURN_LIMIT_S) return null;
  const late = Math.max(0, ...swings.swings.slice(LEAST_SWINGS - 1).map((s) => Math.abs(s.error)));
  const swingsOn = late > CLEAR_OF_BAND * swings.band && (decay ?? 0) > DECAY_LIMIT;
  const grows = swingsOn && (decay ?? 0) > GROWS && largest > RUN_AWAY * began;
  const isAtLimit = evidence.saturatedShare > LIMIT_SHARE;
  if (grows || (swingsOn && isAtLimit)) {
    return { verdict: 'too-strong', proposedGainFactor: weakerBy(swings), ...evidence };
  }
  if (swingsOn && (halfPeriodS(swings) ?? 0) > weavesFromS) {
    return { verdict: 'too-weak', proposedGainFactor: WEAVING_FACTOR, ...evidence };
  }
  const isSlow = returnS === null || returnS > RETURN_LIMIT_S;
  if (!isSlow && (swingsOn || chatters(trace, first.tS + returnS, limitShare))) {
    return { verdict: 'too-strong', proposedGainFactor: weakerBy(swings), ...evidence };
  }
  if (isSlow || !staysNear(trace, swings)) {
    const constant = timeConstantS(tS, error, first.tS);
    const expectedS = returnS ?? Math.max(afterS, CONSTANTS_TO_BAND * (constant ?? afterS));
    return { verdict: 'too-weak', proposedGainFactor: strongerBy(expectedS, order), ...evidence };
  }
  return { verdict: 'good', proposedGainFactor: 1, ...evidence };
}
