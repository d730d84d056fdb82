import type { LightThresholdCalibration } from '../calibrationValues/lightThreshold';
import type { ThreeSentences } from '../gyro/still/stillSentence';
import { benchSpeed, counted, errorLength, percent, shortNumber } from '../text/quantities';
import { lineSpeed, type LineCrossing, type LineSpeed } from './lineSpeed';

/** A reading counts when it passes the threshold by two deviations of its noise. */
const NOISE_SDS = 2;

/**
 * What share of the spot has to lie on the line until a reading surely passes the threshold; 1 where nobody has found
 * one.
 */
export function shareToCount(held: LightThresholdCalibration | null): number {
  if (held === null) return 1;
  const { floorReads, lineReads, enter, readingSd } = held;
  const span = Math.abs(floorReads - lineReads);
  if (span === 0) return 1;
  const needed = Math.abs(floorReads - enter) + NOISE_SDS * readingSd;
  return Math.min(1, Math.max(0.05, needed / span));
}

/** A crossing at some speed. */
export interface CrossingAt {
  speedMPerS: number;
  /** Different readings that every pass gives. */
  readings: number;
  /** The furthest past the line's edge when the last wanted reading is there. */
  overrunM: number;
  /** So much floor has to lie between two lines that are to be counted as two. */
  leastGapM: number;
}

export interface CrossingStudy {
  safe: LineSpeed;
  now: CrossingAt;
  sentences: ThreeSentences;
}

/** What a line gives at a speed, be it safe or not. */
export function crossingAt(of: LineCrossing, safe: LineSpeed, speedMPerS: number): CrossingAt {
  const { countsM, apartS } = safe;
  const seenS = of.sensorPeriodS + (of.readings - 1) * apartS + of.loopPeriodS;
  return {
    speedMPerS,
    readings: Math.floor(countsM / (speedMPerS * apartS) + 1e-9),
    overrunM: (of.lineWidthM - countsM) / 2 + speedMPerS * seenS,
    // The floor between has to be seen as the line has: by as many different readings, the whole spot on it.
    leastGapM: of.spotM + of.readings * apartS * speedMPerS,
  };
}

const ms = (seconds: number): string => `${shortNumber(1000 * seconds, 1)} ms`;

function nextSentence(safe: LineSpeed, now: CrossingAt): string {
  if (now.speedMPerS > safe.speedMPerS) {
    return `At ${benchSpeed(now.speedMPerS)} some passes give ${now.readings === 0 ? 'none' : `only ${now.readings}`}: the line is missed now and then. Slow down before it, or have the loop look more often.`;
  }
  return `At ${benchSpeed(now.speedMPerS)} every pass gives ${counted(now.readings, 'reading')}; it is up to ${errorLength(now.overrunM)} past the line’s edge when it knows, and brakes only then. How far it truly goes on, passes over it tell.`;
}

/** How fast a line may be crossed, in three sentences. */
export function crossingStudy(of: LineCrossing, speedMPerS: number): CrossingStudy {
  const safe = lineSpeed(of);
  const now = crossingAt(of, safe, speedMPerS);
  if (safe.speedMPerS === 0) {
    return {
      safe,
      now,
      sentences: {
        found: 'The sensor’s spot is too wide for this line: it never lies on it far enough.',
        means: `${percent(of.share)} of ${errorLength(of.spotM)} would have to lie on ${errorLength(of.lineWidthM)}.`,
        next: 'Bring the sensor closer to the table, so that it sees a smaller spot, or find a threshold nearer to the floor.',
      },
    };
  }
  return {
    safe,
    now,
    sentences: {
      found: `Cross it at ${benchSpeed(safe.speedMPerS)} at most: every pass then gives ${counted(of.readings, 'different reading')}.`,
      means: `Different readings come at worst ${ms(safe.apartS)} apart (a round of up to ${ms(of.loopPeriodS)}, a new reading every ${ms(of.sensorPeriodS)}), and ${errorLength(safe.countsM)} of the line count: ${of.share >= 1 ? 'all' : percent(of.share)} of the spot has to lie on it. Reading the same one twice confirms nothing.`,
      next: nextSentence(safe, now),
    },
  };
}
