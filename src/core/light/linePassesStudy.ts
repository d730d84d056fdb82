import type { Estimate } from '../stats/roundedFit';
import type { ThreeSentences } from '../gyro/still/stillSentence';
import { capitalised } from '../text/capitalised';
import { benchSpeed, counted, errorLength, errorNumber, number, percent } from '../text/quantities';
import {
  linePasses,
  usualDirection,
  usualSpeedMPerS,
  type Direction,
  type LinePass,
  type LineWay,
} from './linePasses';
import { directionText, SEEN_BY } from './linePassWords';

export interface LinePassesStudy {
  /** At which and along which ways are compared. */
  speedMPerS: number;
  along: Direction;
  ways: LineWay[];
  best: LineWay;
  sentences: ThreeSentences;
}

/** From so many passes without a miss on, fewer than one in ten goes wrong for all that is known. */
const ENOUGH = 35;
/** Overruns of a direction that tell how they scatter. */
const FEW = 5;
/** What lateness costs is said for so much more speed. */
const MORE_M_PER_S = 0.1;

/** "14 mm (12 to 16)". */
export const overText = ({ value, low95, high95 }: Estimate): string =>
  Number.isFinite(low95)
    ? `${errorLength(value)} (${errorNumber(low95)} to ${errorNumber(high95)})`
    : errorLength(value);

/** "60 ms (40 to 80)". */
export const delayText = ({ value, low95, high95 }: Estimate): string =>
  Number.isFinite(low95)
    ? `${number(1000 * value)} ms (${number(1000 * low95)} to ${number(1000 * high95)})`
    : `${number(1000 * value)} ms`;

/** "none of 12 wrong (at most 24 %)", "3 of 12 wrong (9 to 53 %)". */
export const wrongText = ({ wrong: { successes, n, low95, high95 } }: LineWay): string =>
  successes === 0
    ? `none of ${n} wrong (at most ${percent(high95)})`
    : `${successes} of ${n} wrong (${number(100 * low95)} to ${percent(high95)})`;

/** Whether two estimates are proved to differ: their intervals have nothing in common. */
const differ = (a: Estimate, b: Estimate): boolean => a.low95 > b.high95 || b.low95 > a.high95;

function meansSentence(best: LineWay, ways: readonly LineWay[]): string {
  const parts: string[] = [];
  const other = ways.find(({ by }) => by !== best.by);
  if (other !== undefined) {
    const isProved = other.wrong.low95 > best.wrong.high95;
    parts.push(
      `By ${SEEN_BY[other.by]} ${wrongText(other)}${isProved ? ': that is worse' : ': that proves no difference yet'}.`,
    );
  }
  const sorted = best.overruns.toSorted((a, b) => a.over.value - b.over.value);
  const [least, most] = [sorted[0], sorted.at(-1)];
  if (least !== undefined && most !== undefined && differ(least.over, most.over)) {
    parts.push(
      `${capitalised(directionText(most))} it stands ${errorLength(most.over.value - least.over.value)} further than ${directionText(least)}: each direction needs its own stop.`,
    );
  }
  if (best.delayS !== null && best.delayS.low95 > 0) {
    parts.push(
      `It is ${number(1000 * best.delayS.value)} ms late: ${benchSpeed(MORE_M_PER_S)} more bring it ${errorLength(MORE_M_PER_S * best.delayS.value, 1)} further.`,
    );
  }
  return parts.length === 0
    ? 'One way alone at one speed: another speed tells how late it is, another direction whether it stops elsewhere.'
    : parts.join(' ');
}

function nextSentence(best: LineWay): string {
  if (best.missed > 0) {
    return 'It misses the line now and then: drive slower there, or have the loop look more often.';
  }
  if (best.falsely > 0) {
    return 'It takes floor for a line now and then: read line and floor anew, or ask for one more reading.';
  }
  const few = best.overruns.find(({ n }) => n < FEW);
  if (few !== undefined) {
    return `${FEW} measured passes a direction tell how it scatters: ${few.n} so far ${directionText(few)}.`;
  }
  if (best.wrong.n < ENOUGH) {
    return `Apply it; and count on in practice: that it goes wrong less than once in ten, ${ENOUGH} passes without a miss prove.`;
  }
  return 'Apply it, and take the overrun off the way that follows.';
}

/** What passes over a line say, in three sentences; null before the first. */
export function linePassesStudy(passes: readonly LinePass[]): LinePassesStudy | null {
  const speedMPerS = usualSpeedMPerS(passes);
  const along = usualDirection(passes);
  const ways = linePasses(passes, speedMPerS, along);
  const [best] = ways;
  if (best === undefined) return null;
  const over =
    best.over === null
      ? `${counted(best.wrong.n, 'pass', 'passes')}, none measured`
      : `at ${benchSpeed(speedMPerS)} it stands ${overText(best.over)} past the edge, driving ${directionText(along)}`;
  return {
    speedMPerS,
    along,
    ways,
    best,
    sentences: {
      found: `By ${SEEN_BY[best.by]} ${over}; ${wrongText(best)}.`,
      means: meansSentence(best, ways),
      next: nextSentence(best),
    },
  };
}
