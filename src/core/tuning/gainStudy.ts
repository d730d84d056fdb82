import type { ThreeSentences } from '../gyro/still/stillSentence';
import { counted, number } from '../text/quantities';
import { adviceByEye, type SeenGain } from './byEye';
import type { TunedId } from '../robot/tunedIds';
import { gainText } from '../control/tuned';
import type { GainVerdict } from './judge';
import type { GoodGains } from './firstGain';
import { nextGain } from './nextGain';
import { disagreement } from './onSimulator';

/** A gain that was tried at the table: looked at, or judged by a trace. */
export interface GainTrial {
  gain: number;
  seen: SeenGain;
  /** What the trace proposed; null: it was only looked at. */
  proposedGainFactor: number | null;
}

export interface GainStudy {
  /** To try next, or to keep. */
  gain: number;
  isFound: boolean;
  sentences: ThreeSentences;
}

const VERDICTS: Record<SeenGain, GainVerdict> = {
  'too slow': 'too-weak',
  good: 'good',
  'too jerky': 'too-strong',
  'wrong way': 'wrong-sign',
};

export const seenOf = (verdict: GainVerdict): SeenGain => {
  const found = (Object.keys(VERDICTS) as SeenGain[]).find((seen) => VERDICTS[seen] === verdict);
  return found ?? 'good';
};

/** How it looked, and what that means for the gain. */
const WORDS: Record<SeenGain, string> = {
  'too slow': 'is too weak: it comes back too slowly',
  good: 'is good',
  'too jerky': 'is too strong: it swings on',
  'wrong way': 'has the wrong sign: it drives the error on',
};

/** An eye is never quite certain. */
const chanceText = (chance: number): string =>
  chance > 0.99 ? 'over 99 %' : `${number(100 * chance)} %`;

function adviceOf(trials: readonly GainTrial[]): { gain: number; isFound: boolean; sure: string } {
  const last = trials.at(-1);
  const judged = trials.flatMap(({ gain, seen, proposedGainFactor }) =>
    proposedGainFactor === null ? [] : [{ gain, verdict: VERDICTS[seen], proposedGainFactor }],
  );
  if (last !== undefined && last.proposedGainFactor !== null) {
    const sure = `Judged by ${counted(judged.length, 'trace')}.`;
    return { gain: nextGain(judged), isFound: last.seen === 'good', sure };
  }
  const { gain, chance, isFound } = adviceByEye(trials);
  const sure = `By ${counted(trials.length, 'look')}; an eye errs now and then. ${isFound ? 'This' : 'The next'} gain is good with a chance of ${chanceText(chance)}.`;
  return { gain, isFound, sure };
}

/**
 * What gains that were tried say together, and which to try next.
 *
 * @param trials of one controller, in the order in which they were tried
 * @param simulated the gains that are good on the simulator; left out: it was not asked
 * @returns null where none was tried
 */
export function gainStudy(
  id: TunedId,
  trials: readonly GainTrial[],
  simulated?: GoodGains | null,
): GainStudy | null {
  const last = trials.at(-1);
  if (last === undefined) return null;
  const { gain, isFound, sure } = adviceOf(trials);
  const again = Math.abs(gain - last.gain) < 1e-9 * Math.abs(gain);
  return {
    gain,
    isFound,
    sentences: {
      found: isFound
        ? `${gainText(id, gain)} is good.`
        : `${gainText(id, last.gain)} ${WORDS[last.seen]}.`,
      means: isFound ? sure + disagreement(id, gain, simulated) : sure,
      next: isFound
        ? 'Keep it in the program; try again when wheels, speed or battery change.'
        : again
          ? `Look at ${gainText(id, gain)} once more.`
          : `Try ${gainText(id, gain)} next.`,
    },
  };
}
