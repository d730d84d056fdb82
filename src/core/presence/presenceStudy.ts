import type { ThreeSentences } from '../gyro/still/stillSentence';
import type { Rate } from '../detection/errorRate';
import { capitalised } from '../text/capitalised';
import { oneIn } from '../text/oneIn';
import { number } from '../text/quantities';
import {
  presence,
  presenceFromPasses,
  type PassCounts,
  type Presence,
  type ReadingOrNone,
} from './presence';
import { goneText, thereText } from './presenceWords';

/** A reading with something there or without, and the battery's voltage where it was noted. */
export interface PresenceReading {
  there: 'yes' | 'no';
  reading: ReadingOrNone;
  batteryV: number | null;
}

/** Passes that were counted; null where one of the counts was not said. */
export type SaidPasses = { [K in keyof PassCounts]: number | null };

export interface PresenceStudy {
  found: Presence | null;
  byPasses: { missRate: Rate; falseRate: Rate } | null;
  /** Below this voltage a reading was lost with something there, and none above; null: not seen. */
  lostBelowV: number | null;
  sentences: ThreeSentences;
}

const TOO_MANY = 0.02;
const ENOUGH = 10;
/** What is fewer deviations apart no threshold tells apart. */
const TOO_CLOSE = 3;

/** The lowest voltage from which on nothing was lost, where something was lost below it. */
export function lostBelowV(readings: readonly PresenceReading[]): number | null {
  const there = readings.flatMap(({ there: is, reading, batteryV }) =>
    is === 'yes' && batteryV !== null ? [{ isLost: reading === null, batteryV }] : [],
  );
  const lost = there.filter(({ isLost }) => isLost).map(({ batteryV }) => batteryV);
  if (lost.length === 0) return null;
  const highestLost = Math.max(...lost);
  const heard = there.filter(({ isLost, batteryV }) => !isLost && batteryV > highestLost);
  return heard.length === 0 ? null : Math.min(...heard.map(({ batteryV }) => batteryV));
}

function upTo(rate: Rate, what: string): string {
  if (!Number.isFinite(rate.value)) return `${what}: nobody counted`;
  const [value, most] = [oneIn(rate.value, 'look'), oneIn(rate.high95, 'look')];
  if (value === most) return `${what}: ${value}`;
  return `${what}: ${rate.value === 0 ? 'none so far' : value}, at most ${most}`;
}

const rates = ({ missRate, falseRate }: { missRate: Rate; falseRate: Rate }): string =>
  `${upTo(missRate, 'missed')}; ${upTo(falseRate, 'seen where nothing is')}`;

function nextSentence(
  found: Presence | null,
  readings: readonly PresenceReading[],
  lostV: number | null,
): string {
  const count = (is: 'yes' | 'no') => readings.filter(({ there }) => there === is).length;
  if (lostV !== null) {
    return `Below ${number(lostV, 1)} V echoes are lost: change the battery before that.`;
  }
  if (found !== null && Math.min(count('yes'), count('no')) < ENOUGH) {
    return `${ENOUGH} readings of each tell how often it errs: ${count('yes')} and ${count('no')} so far.`;
  }
  if (found !== null && found.lost > TOO_MANY) {
    return 'Now and then nothing comes back though something is there: let one lost reading pass before it counts as gone.';
  }
  if (found?.separability != null && found.separability < TOO_CLOSE) {
    return 'With and without it reads too much alike: look from closer, from another side, or by another sensor.';
  }
  const worst = found === null ? 0 : Math.max(found.missRate.value, found.falseRate.value);
  return worst > TOO_MANY
    ? 'Have it see the same twice in a row before it counts, or bring it closer.'
    : 'Apply it, and put the numbers into the program.';
}

/** The counts, where all of them were said and no more were noticed than were passed. */
function countsOf({ passes, caught, absentPasses, falseAlarms }: SaidPasses): PassCounts | null {
  if (passes === null || caught === null || absentPasses === null || falseAlarms === null) {
    return null;
  }
  const isPossible = caught <= passes && falseAlarms <= absentPasses;
  return isPossible ? { passes, caught, absentPasses, falseAlarms } : null;
}

/** What readings, or counted passes, say about noticing something; null until they say anything. */
export function presenceStudy(
  readings: readonly PresenceReading[],
  passes: SaidPasses,
): PresenceStudy | null {
  const of = (is: 'yes' | 'no') =>
    readings.filter(({ there }) => there === is).map(({ reading }) => reading);
  const [there, absent] = [of('yes'), of('no')];
  const isRead = there.some((one) => one !== null) && absent.length > 0;
  const found = isRead ? presence(there, absent) : null;
  const counts = countsOf(passes);
  const byPasses = counts && presenceFromPasses(counts);
  if (found === null && byPasses === null) return null;
  const lostV = lostBelowV(readings);
  const counted = byPasses === null ? '' : `In passes: ${rates(byPasses)}.`;
  if (found === null) {
    return {
      found,
      byPasses,
      lostBelowV: lostV,
      sentences: {
        found: capitalised(byPasses === null ? '' : `${rates(byPasses)}.`),
        means: 'That is counted in passes, without a log: how near a threshold lies nobody sees.',
        next: 'Type some readings with something there and without: they tell the threshold.',
      },
    };
  }
  const { enter, leave } = found;
  const band =
    enter === null || leave === null
      ? 'Nothing came back from nothing: an echo alone tells.'
      : `To be sure, let it count when it ${thereText({ ...found, threshold: enter })}, and as gone at ${goneText(found, leave)}.`;
  return {
    found,
    byPasses,
    lostBelowV: lostV,
    sentences: {
      found: `Something is there when it ${thereText(found)}. ${capitalised(rates(found))}.`,
      means: `${band} ${counted}`.trim(),
      next: nextSentence(found, readings, lostV),
    },
  };
}
