import { judgeFollowing } from './following';
import type { GainJudgement } from './judge';

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
 * @param leadS how far ahead of the axle the sensor sits, over the speed, where it is known
 * @returns null for a trace too short to tell
 */
export const wallTrace = (
  { tS, readingM, correctionRadPerS }: WallSamples,
  targetM: number,
  side: WallSide,
  leadS?: number,
): GainJudgement | null =>
  judgeFollowing(
    { tS, error: readingM.map((reading) => reading - targetM), correction: correctionRadPerS },
    side === 'left' ? 1 : -1,
    leadS,
  );
