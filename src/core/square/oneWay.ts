import type { ThreeSentences } from '../gyro/still/stillSentence';
import type { Interval } from '../gyro/interval';
import { angleStepRad, COARSEST_PROTRACTOR_RAD } from '../stats/instrumentStep';
import { roundedFit } from '../stats/roundedFit';
import { degrees } from '../text/quantities';
import type { DrivenBy, LapReturn } from './squarePath';

/** A drift that a still check showed, and how long a lap takes. */
export interface StillDrift extends Interval {
  driftRadPerS: number;
  lapS: number;
}

export interface OneWaySquare {
  /** The heading after a lap, beyond the full turn, left positive: of turns and drift (or wheels) together. */
  headingRadPerLap: number;
  headingLow95: number | null;
  headingHigh95: number | null;
  /** By the gyro, parted by a still check: how much each quarter turn goes too far; null where nothing parts them. */
  turnBiasRad: number | null;
  turnBiasLow95: number | null;
  turnBiasHigh95: number | null;
  driftRadPerLap: number | null;
}

/** What is driven one way alone. */
export interface OneWayLaps {
  direction: 'cw' | 'ccw';
  driven: DrivenBy;
  laps: readonly LapReturn[];
}

/**
 * Laps of a square in one direction: what the corners add and what the drift (by the gyro) or unlike wheels (by the
 * encoders) add come out together, for only the other direction turns the one against the other. By the gyro a still
 * check parts them: a lap's heading is four times the turn's error, less the drift of its duration.
 *
 * Source: Borenstein and Feng, IEEE Trans. Robotics and Automation 12 (1996) 869–880: both directions are needed.
 * @param drift null where no still check is known
 */
export function oneWaySquare(
  { direction, driven, laps }: OneWayLaps,
  drift: StillDrift | null,
): OneWaySquare {
  const headings = laps.map(({ headingRad }) => headingRad);
  const step = angleStepRad(headings, COARSEST_PROTRACTOR_RAD);
  const fit = roundedFit(
    headings.map(() => [1]),
    headings,
    step,
  );
  const headingRadPerLap = fit?.coefficients[0] ?? 0;
  const wide = fit?.halfWidth95([1]) ?? Infinity;
  const half = Number.isFinite(wide) ? wide : null;
  const together = {
    headingRadPerLap,
    headingLow95: half === null ? null : headingRadPerLap - half,
    headingHigh95: half === null ? null : headingRadPerLap + half,
  };
  if (driven === 'encoders' || drift === null) {
    return {
      ...together,
      turnBiasRad: null,
      turnBiasLow95: null,
      turnBiasHigh95: null,
      driftRadPerLap: null,
    };
  }
  const sign = direction === 'ccw' ? 1 : -1;
  const driftRadPerLap = drift.driftRadPerS * drift.lapS;
  const turnBiasRad = (sign * (headingRadPerLap + driftRadPerLap)) / 4;
  const byDrift = ((drift.high95 - drift.low95) / 2) * drift.lapS;
  const biasHalf = half === null ? null : Math.hypot(half, byDrift) / 4;
  return {
    ...together,
    turnBiasRad,
    turnBiasLow95: biasHalf === null ? null : turnBiasRad - biasHalf,
    turnBiasHigh95: biasHalf === null ? null : turnBiasRad + biasHalf,
    driftRadPerLap,
  };
}

const OTHER = { cw: 'counter-clockwise', ccw: 'clockwise' } as const;

/** What laps of one direction say, and what would say more. */
export function oneWaySentences(
  { direction, driven }: Pick<OneWayLaps, 'direction' | 'driven'>,
  found: OneWaySquare,
): ThreeSentences {
  const { headingRadPerLap, turnBiasRad, turnBiasLow95, turnBiasHigh95, driftRadPerLap } = found;
  const side = headingRadPerLap > 0 ? 'left' : 'right';
  const turned = `After a lap it stands turned ${degrees(Math.abs(headingRadPerLap))} to the ${side}`;
  const next = `Drive as many laps ${OTHER[direction]}: together they part the two.`;
  if (driven === 'encoders') {
    return {
      found: `${turned}: turns and wheels together.`,
      means: 'A track of another width and wheels that are not alike look the same from one side.',
      next,
    };
  }
  if (turnBiasRad === null || driftRadPerLap === null) {
    return {
      found: `${turned}: turns and drift together.`,
      means: 'Turns that go wrong and a heading that creeps look the same from one side.',
      next: `Make a still check and say how long a lap takes, or drive as many laps ${OTHER[direction]}: either parts the two.`,
    };
  }
  const isProved =
    turnBiasLow95 !== null && turnBiasHigh95 !== null && (turnBiasLow95 > 0 || turnBiasHigh95 < 0);
  const creeps = `the creeping of the still check makes ${degrees(Math.abs(driftRadPerLap))} of it`;
  return {
    found: `${turned}; ${creeps}.`,
    means: isProved
      ? `The rest is the turns’: each goes ${degrees(Math.abs(turnBiasRad))} ${turnBiasRad > 0 ? 'too far' : 'short'}.`
      : 'What is left for the turns is not proved to differ from nothing.',
    next: isProved
      ? 'Make turn trials: they tell why, and what to command instead.'
      : `Drive as many laps ${OTHER[direction]} to be surer.`,
  };
}
