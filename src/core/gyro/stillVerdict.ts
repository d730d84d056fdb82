import { halfWidth } from './driftFit';
import type { RandomWalk } from './randomWalk';
import type { StillSettings } from './stillDefaults';

export type StillVerdict =
  'steady' | 'correctable' | 're-zero' | 'measure-longer' | 'not-enough-still-time';

/** Less still time tells nothing worth acting on. */
export const LEAST_STILL_S = 10;
const LONGEST_LOG_S = 1800;

interface Measured {
  driftRadPerS: number;
  low95: number;
  high95: number;
  cleanS: number;
  walk: RandomWalk;
  quantumRad: number;
}

/** Heading error left after the drift is subtracted: by its interval, and by the walk (95 %). */
const leftAfterCorrection = (halfRadPerS: number, walk: RandomWalk, runS: number): number =>
  halfRadPerS * runS + 2 * walk.radPerSqrtS * Math.sqrt(runS);

/** The shortest log, to whole ten seconds, that would prove the drift correctable; null for none. */
function lengthThatTells(measured: Measured, runS: number, toleranceRad: number): number | null {
  const { driftRadPerS, walk, quantumRad, cleanS } = measured;
  const now = (measured.high95 - measured.low95) / 2;
  const predicted = (lengthS: number, walkThen: RandomWalk) =>
    halfWidth(lengthS, driftRadPerS, walkThen, quantumRad);
  // A walk that is only bounded by the coarse reading is bounded better by a longer log.
  const walkAfter = (lengthS: number): RandomWalk =>
    walk.freedom === Infinity
      ? { ...walk, radPerSqrtS: walk.radPerSqrtS * Math.sqrt(cleanS / lengthS) }
      : walk;
  // The rule for headings, brought to what this log (perhaps of rates) really gave.
  const scale = now / predicted(cleanS, walk);
  for (let lengthS = Math.ceil(cleanS / 10) * 10; lengthS <= LONGEST_LOG_S; lengthS += 10) {
    const then = walkAfter(lengthS);
    const half = scale * predicted(lengthS, then);
    if (leftAfterCorrection(half, then, runS) < toleranceRad) return lengthS;
  }
  return null;
}

/**
 * What a still check proves for a run.
 *
 * `not-enough-still-time` under 10 s; `re-zero` when the drift is proved to be more than a healthy
 * sensor shows, or cannot be corrected by any length of log; `steady` when the worse end of the
 * interval turns the heading by less than a tenth of the tolerance in a run; `correctable` when
 * subtracting it leaves less than the tolerance; else `measure-longer`, with the length that would tell.
 */
export function judgeStill(
  measured: Measured,
  runDurationS: number,
  toleranceRad: number,
  { steadyShare, healthyRadPerS }: StillSettings,
): { verdict: StillVerdict; neededS: number | null } {
  const { low95, high95, walk, cleanS } = measured;
  if (cleanS < LEAST_STILL_S) return { verdict: 'not-enough-still-time', neededS: LEAST_STILL_S };
  if (low95 > healthyRadPerS || high95 < -healthyRadPerS) {
    return { verdict: 're-zero', neededS: null };
  }
  const worst = Math.max(Math.abs(low95), Math.abs(high95)) * runDurationS;
  if (worst < steadyShare * toleranceRad) return { verdict: 'steady', neededS: null };
  const left = leftAfterCorrection((high95 - low95) / 2, walk, runDurationS);
  if (left < toleranceRad) return { verdict: 'correctable', neededS: null };
  const neededS = lengthThatTells(measured, runDurationS, toleranceRad);
  return neededS === null
    ? { verdict: 're-zero', neededS }
    : { verdict: 'measure-longer', neededS };
}
