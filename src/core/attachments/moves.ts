import { angleStepRad } from '../stats/instrumentStep';
import { linearFit } from '../stats/linearFit';
import { mean } from '../stats/moments';
import { roundedFit, type Estimate } from '../stats/roundedFit';
import { scatterInterval, type Scatter } from '../stats/scatterInterval';
import { student975 } from '../stats/student';
import type { EndedBy } from './words';

/** A move of an attachment to a named position: what was wanted, and where it stood. */
export interface AttachmentMove {
  position: string;
  wantedRad: number;
  reachedRad: number;
  endedBy: EndedBy;
  /** Whether it came with growing angles or falling ones. */
  came: 'up' | 'down';
  speedRadPerS: number;
  load: 'empty' | 'loaded';
  timeS: number | null;
}

/** How exactly one position is reached, with feedback or without. */
export interface PositionFound {
  position: string;
  endedBy: AttachmentMove['endedBy'];
  wantedRad: number;
  n: number;
  /** Reached less wanted, on average. */
  offset: Estimate;
  scatter: Scatter;
  /** Seconds a move takes, of those that were timed. */
  time: MoveTime | null;
}

/** Seconds that moves take: on average, and by how much that scatters. */
export interface MoveTime {
  meanS: number;
  sdS: number;
  n: number;
}

export interface MovesFound {
  positions: PositionFound[];
  /** How much further up it stands when it came up than when it came down: play. Null: only one side was tried. */
  play: Estimate | null;
  /** Beyond the wanted angle for each rad/s, in the direction of the move: late by so many seconds. Null: one speed alone. */
  late: Estimate | null;
  /** What a load changes of the angle beyond, in the direction of the move. Null: only one was tried. */
  load: Estimate | null;
  /** Seconds a move takes, on average, and by how much that scatters, of those that were timed. */
  time: MoveTime | null;
}

function estimate(value: number, half: number): Estimate {
  return { value, low95: value - half, high95: value + half };
}

/** @param others what side, speed and load are proved to do to each of the moves: no scatter of single ones */
function positionOf(
  position: string,
  moves: readonly AttachmentMove[],
  others: readonly number[],
  step: number,
): PositionFound {
  const off = moves.map(({ reachedRad, wantedRad }) => reachedRad - wantedRad);
  const half = roundedFit(
    off.map(() => [1]),
    off,
    step,
  )?.halfWidth95([1]);
  return {
    position,
    endedBy: moves.at(-1)?.endedBy ?? 'counter',
    wantedRad: moves.at(-1)?.wantedRad ?? 0,
    n: moves.length,
    offset: estimate(mean(off), half ?? Infinity),
    time: timesOf(moves),
    scatter: scatterInterval(
      off.map((one, i) => one - (others[i] ?? 0)),
      step,
    ),
  };
}

/** By time a position is one of its own: how exactly it is reached has nothing to do with the counter. */
const nameOf = ({ position, endedBy }: AttachmentMove): string => `${endedBy} ${position}`;

/** Whether an effect is proved to be one. */
export const isProved = ({ low95, high95 }: Estimate): boolean => low95 > 0 || high95 < 0;

const sideOf = ({ came }: AttachmentMove): number => (came === 'up' ? 1 : -1);

/** A column of a fit where both of its values occur. */
const differs = (column: readonly (number | string)[]): boolean => new Set(column).size > 1;

const EFFECTS = ['play', 'late', 'load'] as const;
type Effect = (typeof EFFECTS)[number];

/** How much of each effect is in a move. */
const amountOf: Record<Effect, (move: AttachmentMove) => number> = {
  play: (move) => sideOf(move) / 2,
  late: (move) => move.speedRadPerS * sideOf(move),
  load: (move) => (move.load === 'loaded' ? sideOf(move) : 0),
};
/** What has to differ among the moves until an effect can be told. */
const triedIn: Record<Effect, (move: AttachmentMove) => number | string> = {
  play: ({ came }) => came,
  late: ({ speedRadPerS }) => speedRadPerS,
  load: ({ load }) => load,
};

/**
 * What sides, speeds and loads each do to where an attachment stands, by least squares together: reached less wanted =
 * offset of the position + ½ play · side + late · speed · side + load · side.
 */
function effectsOf(
  moves: readonly AttachmentMove[],
  names: readonly string[],
): Record<Effect, Estimate | null> {
  const asked = EFFECTS.filter((key) => differs(moves.map(triedIn[key])));
  const fit = linearFit(
    moves.map((move) => [
      ...names.map((name) => (name === nameOf(move) ? 1 : 0)),
      ...asked.map((key) => amountOf[key](move)),
    ]),
    moves.map(({ reachedRad, wantedRad }) => reachedRad - wantedRad),
  );
  const found = (key: Effect): Estimate | null => {
    const at = names.length + asked.indexOf(key);
    const value = fit?.coefficients[at];
    const variance = fit?.unscaledCovariance[at]?.[at];
    if (!asked.includes(key) || fit === null || value === undefined || variance === undefined) {
      return null;
    }
    if (fit.degreesOfFreedom < 1) return estimate(value, Infinity);
    return estimate(value, student975(fit.degreesOfFreedom) * fit.residualSd * Math.sqrt(variance));
  };
  return { play: found('play'), late: found('late'), load: found('load') };
}

function timesOf(moves: readonly AttachmentMove[]): MovesFound['time'] {
  const times = moves.flatMap(({ timeS }) => timeS ?? []);
  if (times.length === 0) return null;
  const meanS = mean(times);
  const squares = times.reduce((sum, one) => sum + (one - meanS) ** 2, 0);
  return { meanS, sdS: Math.sqrt(squares / (times.length - 1)), n: times.length };
}

/** How exactly an attachment reaches its positions, and what side, speed and load do to it. */
export function attachmentMoves(moves: readonly AttachmentMove[]): MovesFound {
  const step = angleStepRad(moves.map(({ reachedRad }) => reachedRad));
  const names = [...new Set(moves.map(nameOf))];
  const effects = effectsOf(moves, names);
  const others = (move: AttachmentMove): number =>
    EFFECTS.reduce((sum, key) => {
      const one = effects[key];
      return one !== null && isProved(one) ? sum + one.value * amountOf[key](move) : sum;
    }, 0);
  return {
    positions: names.map((name) => {
      const own = moves.filter((move) => nameOf(move) === name);
      return positionOf(own[0]?.position ?? '', own, own.map(others), step);
    }),
    ...effects,
    time: timesOf(moves),
  };
}
