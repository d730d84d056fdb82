import type { ThreeSentences } from '../gyro/still/stillSentence';
import type { Estimate } from '../stats/roundedFit';
import { capitalised } from '../text/capitalised';
import { counted, degrees, errorLength, number } from '../text/quantities';
import { attachmentMoves, isProved, type AttachmentMove, type MovesFound } from './moves';

export interface MovesStudy {
  found: MovesFound;
  sentences: ThreeSentences;
}

const FEW = 5;

/** The size of an effect with its interval, whichever way it goes. */
function sizeText({ value, low95, high95 }: Estimate): string {
  const [low, high] = value < 0 ? [-high95, -low95] : [low95, high95];
  return `${degrees(Math.abs(value))} (${degrees(low)} to ${degrees(high)})`;
}

/** The position that is reached least exactly. */
const worstOf = ({ positions }: MovesFound) =>
  positions
    .filter(({ scatter: { sd } }) => Number.isFinite(sd))
    .toSorted((a, b) => b.scatter.sd - a.scatter.sd)[0] ?? null;

function foundSentence(found: MovesFound, armM: number): string {
  const worst = worstOf(found);
  if (worst === null) {
    return `${counted(found.positions.length, 'position')} tried: two moves to one of them tell how it scatters.`;
  }
  const { position, scatter, offset } = worst;
  const off = isProved(offset)
    ? `, ${degrees(Math.abs(offset.value))} too ${offset.value > 0 ? 'far up' : 'far down'} on average`
    : '';
  const tip = armM > 0 ? `: at its tip ± ${errorLength(scatter.sd * armM, 1)}` : '';
  return `Moves to “${position}” scatter by ± ${degrees(scatter.sd)} (${degrees(scatter.low95)} to ${degrees(scatter.high95)})${tip}${off}.`;
}

function meansSentence({ play, late, load, time }: MovesFound): string {
  const parts = [
    play !== null && isProved(play)
      ? `Where it comes from counts: ${sizeText(play)} of play.`
      : null,
    late !== null && isProved(late)
      ? `It goes further the faster it moves: ${number(1000 * late.value)} ms late.`
      : null,
    load !== null && isProved(load)
      ? `Loaded it stands ${sizeText(load)} ${load.value > 0 ? 'further' : 'shorter'}.`
      : null,
    time === null
      ? null
      : `A move takes ${number(time.meanS, 1)} s${Number.isFinite(time.sdS) ? `, ± ${number(time.sdS, 2)} s` : ''}.`,
  ].filter((one) => one !== null);
  return parts.length === 0
    ? 'Nothing is proved of play, speed or load: come from both sides, at two speeds.'
    : parts.join(' ');
}

function nextSentence({ positions, play }: MovesFound): string {
  const few = positions.find(({ n }) => n < FEW);
  if (few !== undefined) {
    return `${capitalised(counted(FEW, 'move'))} to each position tell: ${few.n} to “${few.position}” so far.`;
  }
  if (play === null)
    return 'Come to one position from the other side as well: that shows its play.';
  return isProved(play)
    ? 'Let the program always come from the same side: go past it and back. Then apply it.'
    : 'Apply it, and put the angles into the program.';
}

/**
 * What moves of an attachment say, in three sentences; null before the first.
 *
 * @param armM from its axle to its tip; 0: not said
 */
export function movesStudy(moves: readonly AttachmentMove[], armM: number): MovesStudy | null {
  if (moves.length === 0) return null;
  const found = attachmentMoves(moves);
  return {
    found,
    sentences: {
      found: foundSentence(found, armM),
      means: meansSentence(found),
      next: nextSentence(found),
    },
  };
}
