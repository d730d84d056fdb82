import type { Rate } from '../detection/errorRate';
import type { ThreeSentences } from '../gyro/still/stillSentence';
import type { Estimate } from '../stats/roundedFit';
import { capitalised } from '../text/capitalised';
import { counted, degrees, errorLength, number, percent } from '../text/quantities';
import {
  attachmentMoves,
  isProved,
  type AttachmentMove,
  type MovesFound,
  type PositionFound,
} from './moves';
import { isAtRollOver, passesRollOver } from './rollOver';
import { withinWindow } from './withinWindow';
import type { HomesBy, RollOver } from './words';

/** What is told of an attachment besides its moves. */
export interface ToldOfArm {
  /** From its axle to its tip; 0: not said. */
  armM: number;
  /** Its mission needs its tip within this of where it should be; null: not said. */
  windowM: number | null;
  counter: RollOver;
  homesBy: HomesBy;
  rangeRad: number | null;
}

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

/** "“grip”", "“grip” by time". */
export const positionText = ({
  position,
  endedBy,
}: Pick<PositionFound, 'position' | 'endedBy'>): string =>
  `“${position}”${endedBy === 'time' ? ' by time' : ''}`;

/**
 * How sure it is that the next move to a position serves its mission; where it has play, coming from its worse side.
 * Null where nobody said what the mission needs.
 */
export function chanceOf(
  { offset, scatter, n }: PositionFound,
  { play }: Pick<MovesFound, 'play'>,
  { armM, windowM }: Pick<ToldOfArm, 'armM' | 'windowM'>,
): Rate | null {
  if (windowM === null || armM === 0 || n < 2) return null;
  const aside = play !== null && isProved(play) ? Math.abs(play.value) / 2 : 0;
  return withinWindow(
    { offset: Math.abs(offset.value) + aside, sd: scatter.sd, n },
    Math.atan2(windowM, armM),
  );
}

/** Surer than this is not said. */
const SURE = 0.99;

/** "94 % (80 to 99 %)", "over 99 % (at least 96 %)". */
export function chanceText({ value, low95, high95 }: Rate): string {
  if (low95 > SURE) return `over ${percent(SURE)}`;
  return value > SURE
    ? `over ${percent(SURE)} (at least ${percent(low95)})`
    : `${percent(value)} (${number(100 * low95)} to ${percent(Math.min(SURE, high95))})`;
}

function foundSentence(found: MovesFound, armM: number): string {
  const worst = worstOf(found);
  if (worst === null) {
    return `${counted(found.positions.length, 'position')} tried: two moves to one of them tell how it scatters.`;
  }
  const { scatter, offset } = worst;
  const off = isProved(offset)
    ? `, ${degrees(Math.abs(offset.value))} too ${offset.value > 0 ? 'far up' : 'far down'} on average`
    : '';
  const tip = armM > 0 ? `: at its tip ± ${errorLength(scatter.sd * armM, 1)}` : '';
  return `Moves to ${positionText(worst)} scatter by ± ${degrees(scatter.sd)} (${degrees(scatter.low95)} to ${degrees(scatter.high95)})${tip}${off}.`;
}

/** What the least exact position means for its mission. */
function missionSentence(found: MovesFound, told: ToldOfArm): string | null {
  const worst = worstOf(found);
  const chance = worst && chanceOf(worst, found, told);
  if (worst === null || chance === null || told.windowM === null) return null;
  return `Its tip comes within ± ${errorLength(told.windowM)} of ${positionText(worst)} in ${chanceText(chance)} of moves${found.play !== null && isProved(found.play) ? ' from its worse side' : ''}.`;
}

function meansSentence(found: MovesFound, told: ToldOfArm): string {
  const { play, late, load, time } = found;
  const parts = [
    missionSentence(found, told),
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

/** So many deviations either way a move may stand. */
const REACH_SDS = 3;

/** A position where its counter jumps, or null. */
const atRollOver = ({ positions }: MovesFound, { counter }: ToldOfArm): PositionFound | null =>
  positions.find(({ wantedRad, offset, scatter: { sd } }) =>
    isAtRollOver(
      wantedRad,
      Math.abs(offset.value) + REACH_SDS * (Number.isFinite(sd) ? sd : 0),
      counter,
    ),
  ) ?? null;

/** Two positions between which its counter jumps, or null. */
function acrossRollOver({ positions }: MovesFound, { counter }: ToldOfArm) {
  for (const from of positions) {
    const to = positions.find((one) => passesRollOver(from.wantedRad, one.wantedRad, counter));
    if (to !== undefined) return { from, to };
  }
  return null;
}

function nextSentence(found: MovesFound, told: ToldOfArm): string {
  const { positions, play } = found;
  const jumps = atRollOver(found, told);
  if (jumps !== null) {
    return `${positionText(jumps)} lies where its counter jumps by a whole turn: a move to it may read a turn off and run round. Let the program count on past the jump, or set home elsewhere.`;
  }
  const across = acrossRollOver(found, told);
  if (across !== null) {
    return `Between ${positionText(across.from)} and ${positionText(across.to)} its counter jumps by a whole turn: let the program count on past the jump, or the arm runs round the other way.`;
  }
  const few = positions.find(({ n }) => n < FEW);
  if (few !== undefined) {
    return `${capitalised(counted(FEW, 'move'))} to each position tell: ${few.n} to ${positionText(few)} so far.`;
  }
  if (play === null)
    return 'Come to one position from the other side as well: that shows its play.';
  return isProved(play)
    ? 'Let the program always come from the same side: go past it and back. Then apply it.'
    : 'Apply it, and put the angles into the program.';
}

/**
 * What moves of an attachment say, in three sentences; null before the first.
 */
export function movesStudy(moves: readonly AttachmentMove[], told: ToldOfArm): MovesStudy | null {
  if (moves.length === 0) return null;
  const found = attachmentMoves(moves);
  return {
    found,
    sentences: {
      found: foundSentence(found, told.armM),
      means: meansSentence(found, told),
      next: nextSentence(found, told),
    },
  };
}
