import type { ThreeSentences } from '../gyro/still/stillSentence';
import { wilson } from '../stats/wilson';
import { benchSpeed, degrees, number, percent } from '../text/quantities';
import { equalitySentence, type LoopStudy, type MeasuredLoop } from './loopStudy';

/** The period of a loop and its 95 % interval, s; where nothing bounds it, 0 or Infinity. */
export interface PeriodByHand {
  periodS: number;
  low95S: number;
  high95S: number;
}

/** Two presses of a stopwatch are good to so much together. */
const WATCH_S = 0.3;

/**
 * The period of a loop whose program counted its rounds while somebody held a stopwatch: the time over the count,
 * each as exact as it was read.
 *
 * @param rounds counted, at least 1
 * @param durationS by the stopwatch
 */
export function periodFromCount(rounds: number, durationS: number): PeriodByHand {
  return {
    periodS: durationS / rounds,
    low95S: Math.max(0, durationS - WATCH_S) / (rounds + 1),
    high95S: (durationS + WATCH_S) / Math.max(1, rounds - 1),
  };
}

/** Rounds that a program counted, null before it did, and the time by a stopwatch. */
export interface CountedRounds {
  rounds: number | null;
  durationS: number;
}

/** What is known of a loop: by a log, or else by a count of rounds; null where there is neither. */
export function measuredLoop(
  study: LoopStudy | null,
  { rounds, durationS }: CountedRounds,
): MeasuredLoop | null {
  if (study !== null) {
    return { periodS: study.timing.meanS, motorLagS: study.motors?.lagS ?? null };
  }
  return rounds === null
    ? null
    : { periodS: periodFromCount(rounds, durationS).periodS, motorLagS: null };
}

/** Passes over something that a program waits for with one look a round. */
export interface Passes {
  passes: number;
  /** Of these so many were noticed. */
  caught: number;
  /** How wide it is, and how fast it is passed: a degree and a rate, or the width of a line and a speed. */
  extent: number;
  ratePerS: number;
}

/**
 * The period of a loop from how often it notices what it passes: something that is passed within a time shorter than
 * a round is seen in extent / (rate · period) of the passes.
 *
 * Source: uniform phase of the passing against the loop (Buffon 1777, in one dimension); the share after Wilson (1927).
 * @returns the bound alone where all passes were caught (period up to high95S), or none (from low95S)
 */
export function periodFromPasses({
  passes,
  caught,
  extent,
  ratePerS,
}: Passes): PeriodByHand | null {
  const share = wilson(caught, passes);
  if (share === null) return null;
  const withinS = extent / ratePerS;
  return {
    periodS: share.rate === 0 ? Infinity : withinS / share.rate,
    low95S: caught === passes ? 0 : withinS / share.high95,
    high95S: caught === 0 ? Infinity : withinS / share.low95,
  };
}

const milliseconds = (seconds: number) => `${number(1000 * seconds, seconds < 0.1 ? 1 : 0)} ms`;

/** By a count of rounds, in three sentences. */
export function countSentences(found: PeriodByHand, rateRadPerS: number): ThreeSentences {
  return {
    found: `The loop comes round every ${milliseconds(found.periodS)} on average (${milliseconds(found.low95S)} to ${milliseconds(found.high95S)}).`,
    means: `${equalitySentence(rateRadPerS, found.periodS)}. A count tells the mean, and nothing of single rounds that come late.`,
    next: 'Put it into the robot’s record: the Course then computes with it. A log tells more.',
  };
}

/** Two looks while it passes: one alone may be a late round's, or half beside the line. */
const LOOKS = 2;

/** How fast a line may be passed to be looked at twice on it, m/s; null where no pass was caught. */
export const safeSpeedMPerS = ({ high95S }: PeriodByHand, widthM: number): number | null =>
  high95S === Infinity ? null : widthM / (LOOKS * high95S);

/** Angles of an arm or a wheel, 0 up to a full turn; where `to` is less than `from` it goes through 0. */
export interface AngleWindow {
  fromRad: number;
  toRad: number;
}

const FULL_TURN = 2 * Math.PI;

/**
 * A window of angles that no round of a loop can step over, from the wanted angle on; an angle that comes round again
 * begins anew at 0.
 *
 * @returns null where no pass was caught, or the window would be a full turn
 */
export function windowOf(
  { high95S }: PeriodByHand,
  wantedRad: number,
  ratePerS: number,
): AngleWindow | null {
  const widthRad = ratePerS * high95S;
  if (!(widthRad < FULL_TURN)) return null;
  const wrapped = (angleRad: number) => ((angleRad % FULL_TURN) + FULL_TURN) % FULL_TURN;
  return { fromRad: wrapped(wantedRad), toRad: wrapped(wantedRad + widthRad) };
}

/** What a program waits for while it passes. */
export type PassedByHand =
  | { what: 'degree' }
  | { what: 'line'; widthM: number }
  | { what: 'arm'; wantedRad: number; ratePerS: number };

/** A line's reading comes back behind it: no inequality holds from then on. */
function nextAtLine(found: PeriodByHand, widthM: number): string {
  const speed = safeSpeedMPerS(found, widthM);
  return speed === null
    ? 'Pass it slower until some passes are caught: then it can be said how fast is safe.'
    : `Pass it at ${benchSpeed(speed)} at most: then the program looks at least twice while the sensor is on it. Behind the line the reading is the floor’s again, so ≥ or ≤ alone does not help.`;
}

function nextAtArm(found: PeriodByHand, wantedRad: number, ratePerS: number): string {
  const window = windowOf(found, wantedRad, ratePerS);
  if (window === null) return 'Turn it slower: so it can go all the way round between two looks.';
  const { fromRad, toRad } = window;
  return toRad < fromRad
    ? `Wait for ${degrees(fromRad)} or more, or ${degrees(toRad)} or less: the angle begins anew at 0, and no round steps over that.`
    : `Wait for ${degrees(fromRad)} to ${degrees(toRad)}: no round steps over that, and ≥ alone would hold at the wrong side of 0 as well.`;
}

function nextAfterPasses(found: PeriodByHand, missesAny: boolean, passed: PassedByHand): string {
  switch (passed.what) {
    case 'line':
      return nextAtLine(found, passed.widthM);
    case 'arm':
      return nextAtArm(found, passed.wantedRad, passed.ratePerS);
    case 'degree':
      return missesAny
        ? 'Pass it slower, or wait with ≥ or ≤: these hold from then on, and cannot be missed.'
        : 'Still wait with ≥ or ≤: one late round is enough to miss a single value.';
  }
}

/** By passes that were caught or missed, in three sentences. */
export function passSentences(
  found: PeriodByHand,
  { passes, caught }: Pick<Passes, 'passes' | 'caught'>,
  passed: PassedByHand,
): ThreeSentences {
  const range =
    caught === passes
      ? `A round takes at most ${milliseconds(found.high95S)}, as far as ${passes} passes tell.`
      : caught === 0
        ? `A round takes ${milliseconds(found.low95S)} at least: every pass was missed.`
        : `A round takes about ${milliseconds(found.periodS)} (${milliseconds(found.low95S)} to ${milliseconds(found.high95S)}): ${caught} of ${passes} passes were caught.`;
  return {
    found: range,
    means:
      caught === passes
        ? 'None was missed: pass it faster to see where that begins.'
        : `${percent(1 - caught / passes)} of such passes are missed: it is over before the program looks again.`,
    next: nextAfterPasses(found, caught < passes, passed),
  };
}
