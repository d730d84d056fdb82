import type { ThreeSentences } from '../gyro/still/stillSentence';
import { errorLength, percent, shortNumber } from '../text/quantities';
import { capitalised } from '../text/capitalised';
import { oneIn } from '../text/oneIn';
import { heightsOf, readingsOver, usualHeightM, type AtHeight, type LightReading } from './heights';
import { lineThreshold, type LineThreshold } from './lineThreshold';
import { meanText, readingText } from '../text/rawReadings';
import { floorText, lineText } from './thresholdWords';
import { usedThreshold, type UsedThreshold } from './usedThreshold';

/** What is read at fewer places says nothing of the others. */
const PLACES = 3;
/** So few readings of either give an upper bound of the errors alone. */
const FEW = 10;
/** A share of readings that a program's own threshold may get wrong without a warning. */
const TOO_MANY = 0.01;
/** Line and floor that are this few deviations apart are told apart by no threshold. */
const TOO_CLOSE = 3;

export interface ThresholdStudy {
  found: LineThreshold;
  heights: AtHeight[];
  used: UsedThreshold | null;
  sentences: ThreeSentences;
}

function errorSentence({ errorRate, line, floor }: LineThreshold): string {
  const { value, high95 } = errorRate;
  if (!Number.isFinite(value)) return 'How often that errs a single reading of each does not tell.';
  if (Math.min(line.n, floor.n) < FEW) {
    return `At most ${oneIn(high95, 'reading')} is wrong: so few readings tell no more.`;
  }
  const [rate, most] = [oneIn(value, 'reading'), oneIn(high95, 'reading')];
  const upTo = rate === most ? '' : `; after so few it may be as many as ${most}`;
  return `${capitalised(rate)} is wrong${upTo}.`;
}

function spreadText({ line, floor, step }: LineThreshold): string {
  const say = ({ mean, sd }: LineThreshold['line']) =>
    `${meanText(mean, step)}${Number.isFinite(sd) ? ` ± ${meanText(sd, step)}` : ''}`;
  return `line ${say(line)}, floor ${say(floor)}`;
}

function meansSentence(found: LineThreshold): string {
  const { enter, leave, equalError, threshold, spreadsDiffer, step, separability } = found;
  const apart = Number.isFinite(separability)
    ? `, ${shortNumber(separability, 1)} deviations apart`
    : '';
  const band = `To be sure at an edge, take it for the line at ${lineText(found, enter)}, for the floor again at ${floorText(found, leave)}; in between stays what it was.`;
  const beside = spreadsDiffer
    ? ` One spreads more than the other: ${readingText(threshold, step)} errs least, at ${readingText(equalError, step)} both would be mistaken equally often.`
    : '';
  return `${capitalised(spreadText(found))}${apart}. ${band}${beside}`;
}

function usedSentence(found: LineThreshold, used: UsedThreshold): string | null {
  const { threshold, missed, falsely } = used;
  if (missed <= TOO_MANY && falsely <= TOO_MANY) return null;
  const { step, line, floor, lineIs } = found;
  const says = `Your program’s “${lineIs === 'darker' ? 'less' : 'more'} than ${readingText(threshold, step)}”`;
  const what =
    missed > falsely
      ? `misses ${percent(missed)} of the line’s readings: the line itself reads ${meanText(line.mean, step)}`
      : `takes ${percent(falsely)} of the floor’s readings for the line: the floor itself reads ${meanText(floor.mean, step)}`;
  return `${says} ${what}. Type in ${lineText(found, found.threshold)} instead.`;
}

/** What is said of readings beyond the largest that the sensor can show; null: there is none. */
function beyondSentence(
  readings: readonly LightReading[],
  { step }: LineThreshold,
  full: number | null,
): string | null {
  const highest = Math.max(...readings.map(({ reading }) => reading));
  return full === null || highest <= full
    ? null
    : `${readingText(highest, step)} is more than the ${readingText(full, step)} that it can show: say below in what the sensor counts.`;
}

function nextSentence(
  found: LineThreshold,
  heights: AtHeight[],
  used: UsedThreshold | null,
): string {
  const { separability, line, floor } = found;
  if (separability < TOO_CLOSE) {
    return 'Line and floor read too much alike. Bring the sensor closer to the table, shade it from lamps and windows, or look for another place.';
  }
  const warned = used === null ? null : usedSentence(found, used);
  if (warned !== null) return warned;
  const bad = heights.find(({ holds }) => !holds);
  if (bad !== undefined) {
    return `At ${errorLength(bad.heightM)} over the table it does not hold any more: keep the sensor at its height.`;
  }
  if (Math.min(line.places, floor.places) < PLACES) {
    return `Now the same at another place: line and floor differ from place to place more than one reading from the next. ${PLACES} places of each tell it.`;
  }
  if (found.errorRate.high95 > TOO_MANY && found.errorRate.value <= TOO_MANY) {
    return 'How much places differ is hardly known yet: two more of each, where the light is another, tell most.';
  }
  return 'Apply it, and put the two numbers into the program.';
}

/** The readings of a unit; those that name none are of the one in use. */
export const readingsOfDevice = <T extends { unit: string }>(
  readings: readonly T[],
  label: string,
): T[] => readings.filter(({ unit }) => unit === '' || unit === label);

/**
 * What readings over a line and the floor say, in three sentences; null until there is one of each at the usual height.
 *
 * @param programs what the team's program compares with; null: not told
 * @param full the largest reading; null: not known
 */
export function thresholdStudy(
  readings: readonly LightReading[],
  programs: number | null,
  full: number | null = null,
): ThresholdStudy | null {
  const heightM = usualHeightM(readings);
  const there = readings.filter((one) => one.heightM === heightM);
  const [line, floor] = [readingsOver(there, 'line'), readingsOver(there, 'floor')];
  if (line.values.length === 0 || floor.values.length === 0) return null;
  const found = lineThreshold(line, floor);
  const heights = heightsOf(readings, found);
  const used = programs === null ? null : usedThreshold(found, programs);
  return {
    found,
    heights,
    used,
    sentences: {
      found: `Take it for the line when it reads ${lineText(found, found.threshold)}. ${errorSentence(found)}`,
      means: meansSentence(found),
      next: beyondSentence(there, found, full) ?? nextSentence(found, heights, used),
    },
  };
}
