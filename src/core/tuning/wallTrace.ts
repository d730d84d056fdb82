import { judgeGain, type GainJudgement } from './judge';

export type WallSide = 'left' | 'right';

/** A trace of following a wall: a lost echo is no sample. */
export interface WallSamples {
  tS: readonly number[];
  readingM: readonly number[];
  /** Turning to the left positive. */
  correctionRadPerS: readonly number[];
}

/**
 * Judges the gain of following a wall. Too far from a wall on the left has to turn left, on the right right; what
 * turns the other way has the wrong sign.
 *
 * @returns null for a trace too short to tell
 */
export function wallTrace(
  { tS, readingM, correctionRadPerS }: WallSamples,
  targetM: number,
  side: WallSide,
): GainJudgement | null {
  const error = readingM.map((reading) => reading - targetM);
  const toWall = side === 'left' ? 1 : -1;
  const together = error.reduce((sum, value, i) => sum + value * (correctionRadPerS[i] ?? 0), 0);
  return judgeGain({ tS, error, correction: correctionRadPerS }, toWall * together > 0, 2);
}
