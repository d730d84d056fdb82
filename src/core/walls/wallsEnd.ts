import type { ChannelLog } from '../channels/log';
import { median } from '../stats/median';
import { wilson } from '../stats/wilson';
import { counted, errorLength, number } from '../text/quantities';

/** How the end of a wall is told from an echo that was lost. */
export interface WallsEnd {
  /** Share of the echoes that were lost beside the wall, and what it may be at most (95 %). */
  lostRate: number;
  lostHigh95: number;
  /** The longest row of lost ones in the log. */
  longestRow: number;
  /** So many missing in a row are the wall's end. */
  missingInRow: number;
  /** And so much later it is told. */
  delayS: number;
}

/** A run along a wall is to end too early by chance at most so often. */
const FALSELY = 0.01;
/** A run along a wall looks so often. */
const LOOKS = 500;
/** Echoes are lost in rows, too: one more than the longest that was seen is the least. */
const MORE_THAN_SEEN = 1;
const LEAST = 50;
/** A sensor that loses more follows no wall. */
const MOST_LOST = 0.5;

/** How long each row of missing echoes is. */
function missingRows(values: readonly number[]): number[] {
  const rows: number[] = [];
  let row = 0;
  for (const value of values) {
    if (Number.isNaN(value)) row += 1;
    else {
      if (row > 0) rows.push(row);
      row = 0;
    }
  }
  return rows;
}

/**
 * How many missing echoes in a row are the end of the wall, from a log in which the robot drove beside one all the
 * time: so many that lost ones alone make such a row in one of a hundred runs, and more than were ever seen.
 *
 * Source: expected number of runs of successes, Feller, An Introduction to Probability Theory I, 3rd ed., 1968,
 * section XIII.7: n·pᵏ bounds the chance of a row of k among n.
 * @returns null where the log holds too few echoes to tell, or most of them were lost
 */
export function wallsEnd(log: ChannelLog, channel: string): WallsEnd | null {
  const values = Array.from(log.columns[channel] ?? []);
  const first = values.findIndex((value) => !Number.isNaN(value));
  const last = values.findLastIndex((value) => !Number.isNaN(value));
  // What comes before the first and after the last echo may be no wall at all.
  const beside = first < 0 ? [] : values.slice(first, last + 1);
  if (beside.length < LEAST) return null;
  const rows = missingRows(beside);
  const lost = wilson(beside.filter(Number.isNaN).length, beside.length);
  if (lost === null || lost.high95 > MOST_LOST) return null;
  const longestRow = Math.max(0, ...rows);
  const byChance = Math.ceil(Math.log(FALSELY / LOOKS) / Math.log(lost.high95));
  const times = Array.from(log.tS.slice(first, last + 1));
  const periodS = median(times.slice(1).map((at, i) => at - (times[i] ?? at)));
  const missingInRow = Math.max(2, byChance, longestRow + MORE_THAN_SEEN);
  return {
    lostRate: lost.rate,
    lostHigh95: lost.high95,
    longestRow,
    missingInRow,
    delayS: missingInRow * periodS,
  };
}

/** How the end of a wall is told, in a sentence. */
export const wallsEndSentence = (
  { lostRate, longestRow, missingInRow, delayS }: WallsEnd,
  speedMPerS: number,
): string =>
  `The wall’s end: ${counted(missingInRow, 'missing echo', 'missing echoes')} in a row, never one alone (${number(100 * lostRate, 1)} % were lost here, at most ${longestRow} in a row). So it is told ${number(1000 * delayS)} ms after the end, ${errorLength(speedMPerS * delayS)} past it.`;
