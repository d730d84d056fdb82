import { halfWidth } from '../driftFit';
import type { RandomWalk } from '../randomWalk';
import { walkInRun } from '../runWalk';
import { isProved, type Interval } from '../interval';
import type { StillSettings } from './stillDefaults';

export type StillVerdict =
  | 'not-still'
  | 'not-enough-still-time'
  | 're-zero'
  | 'steady'
  | 'correctable'
  | 're-anchor'
  | 'measure-longer'
  | 'check-again';

/** Less still time tells nothing worth acting on. */
export const LEAST_STILL_S = 10;
/** No still check is asked to last longer. */
export const LONGEST_STILL_S = 1800;
/** A wander that is suspected and not shown is looked for in a log so many times as long. */
const TO_SHOW_WANDER = 4;
/** So many times as long a log shows whether a drift changes that only seems to. */
const TO_SHOW_CHANGE = 2;

interface Measured extends Interval {
  driftRadPerS: number;
  cleanS: number;
  walk: RandomWalk;
  /** Step of the heading; 0 for rates. */
  quantumRad: number;
  /** What rounding of a rate may hide, however long the log; 0 for headings. */
  hiddenRadPerS: number;
  /** Wander that is proved; 0 for none. */
  wanderRadPerS: number;
  /** Mean drift during the next run. */
  nextRun: Interval;
  /** The drift is proved to be changing: its mean says nothing about the next run. */
  changing: boolean;
  /** Something speaks for a drift that changes; the next run's interval has it. */
  hinted: boolean;
  /** Until which time a sensor that warms up has to lie, s from the start of the log. */
  settledS: number;
  driven: boolean;
}

export interface Judgement {
  verdict: StillVerdict;
  /** Length of log that would tell, where the verdict is open; null where no longer one would. */
  neededS: number | null;
}

const worstOf = ({ low95, high95 }: Interval): number =>
  Math.max(Math.abs(low95), Math.abs(high95));

const tens = (seconds: number): number => Math.ceil(seconds / 10) * 10;

/** The shortest log, to whole ten seconds, that would prove the sensor steady or its drift correctable. */
function lengthThatTells(measured: Measured, runS: number, allowedRad: number): number | null {
  const { driftRadPerS, walk, quantumRad, hiddenRadPerS, cleanS } = measured;
  const size = Math.abs(driftRadPerS);
  const now = (measured.high95 - measured.low95) / 2 - hiddenRadPerS;
  const half = (lengthS: number, then: RandomWalk) =>
    halfWidth(lengthS, driftRadPerS, then, quantumRad);
  // The rule for headings, brought to what this log (perhaps of rates) really gave.
  const scale = now / (half(cleanS, walk) || 1);
  const wander = 2 * measured.wanderRadPerS * runS;
  for (let lengthS = tens(cleanS + 1); lengthS <= LONGEST_STILL_S; lengthS += 10) {
    // A walk that is only bounded by the coarse reading is bounded better by a longer log.
    const shrinks = walk.degreesOfFreedom === Infinity ? Math.sqrt(cleanS / lengthS) : 1;
    const then = { ...walk, radPerSqrtS: walk.radPerSqrtS * shrinks };
    const inRun = walkInRun(then.radPerSqrtS, runS);
    const mean = scale * half(lengthS, then) + hiddenRadPerS;
    const left = wander + inRun;
    const steady = (size + mean) * runS + left <= allowedRad;
    const correctable = size > mean && mean * runS + left <= allowedRad;
    if (steady || correctable) return lengthS;
  }
  return null;
}

function longer(measured: Measured, runS: number, allowedRad: number): number | null {
  if (measured.changing) return tens(measured.settledS);
  const tells = lengthThatTells(measured, runS, allowedRad);
  if (measured.hinted) return Math.max(tells ?? 0, tens(TO_SHOW_CHANGE * measured.cleanS));
  // What stands in the way may be a wander that is suspected only: a longer log shows it, or does not.
  const half = (measured.nextRun.high95 - measured.nextRun.low95) / 2;
  const suspected = half > 1.01 * ((measured.high95 - measured.low95) / 2);
  const toShow = Math.min(LONGEST_STILL_S, tens(TO_SHOW_WANDER * measured.cleanS));
  return tells ?? (suspected && toShow > measured.cleanS ? toShow : null);
}

/**
 * What a still check proves for a run of T, a tolerance, and the share of it that drift may use up.
 *
 * In this order, with D the worse end of the mean's interval times T, w twice the proved wander times T,
 * r what white noise does in a run, h half the prediction for the next run times T:
 * `not-still`: it drives; `not-enough-still-time`: under 10 s; `re-zero`: the whole interval lies above
 * what a healthy sensor shows; `steady`: D + w + r within the share; `correctable`: a proved drift, and
 * h + r within the share; `re-anchor`: w + r alone are more; else `measure-longer`, with the length that
 * would tell. While the drift is proved to be changing, the next run's interval stands for the mean's,
 * and the mean is never subtracted.
 */
export function judgeStill(
  measured: Measured,
  runDurationS: number,
  toleranceRad: number,
  { driftShare, healthyRadPerS }: StillSettings,
): Judgement {
  const { walk, cleanS, changing, hinted, nextRun, driven, wanderRadPerS } = measured;
  const plain = (verdict: StillVerdict): Judgement => ({ verdict, neededS: null });
  if (driven) return plain('not-still');
  if (cleanS < LEAST_STILL_S) return { verdict: 'not-enough-still-time', neededS: LEAST_STILL_S };
  const mean: Interval = changing || hinted ? nextRun : measured;
  if (mean.low95 > healthyRadPerS || mean.high95 < -healthyRadPerS) return plain('re-zero');
  const allowedRad = driftShare * toleranceRad;
  const inRun = walkInRun(walk.radPerSqrtS, runDurationS);
  const left = 2 * wanderRadPerS * runDurationS + inRun;
  if (worstOf(mean) * runDurationS + left <= allowedRad) return plain('steady');
  const half = (nextRun.high95 - nextRun.low95) / 2;
  const correctedRad = half * runDurationS + inRun;
  if (!changing && isProved(measured) && correctedRad <= allowedRad) return plain('correctable');
  // A walk that is only bounded proves nothing about what no check can help.
  if (left > allowedRad && walk.degreesOfFreedom !== Infinity) return plain('re-anchor');
  return { verdict: 'measure-longer', neededS: longer(measured, runDurationS, allowedRad) };
}
