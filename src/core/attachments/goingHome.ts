import { timeoutS } from '../control/settings';
import { degrees, number, percent } from '../text/quantities';
import type { HomesBy } from './words';

export interface GoingHome {
  by: HomesBy;
  /** Share of full power; null: not told. */
  power: number | null;
  /** Over its whole range; null: not told. */
  rangeRad: number | null;
  /** At which it goes home; null: not told. */
  speedRadPerS: number | null;
}

/** More presses a stop out of its place, and strips gears. */
const LOW_POWER = 0.3;
/** A counter that stands still for so many of its own steps' times stands at its stop. */
const STANDS_FOR = 3;
const LEAST_STANDS_S = 0.1;

/**
 * For how long a counter has to stand still until an attachment is surely stopped: moving, it changes at least once in
 * the time that one of its steps takes, and is seen a round of the loop later.
 */
export const stalledAfterS = (speedRadPerS: number, stepRad: number, loopPeriodS: number): number =>
  Math.max(LEAST_STANDS_S, STANDS_FOR * (stepRad / speedRadPerS + loopPeriodS));

/** What to write for going home, and what to mind, a sentence each. */
export function homeSentences(
  { by, power, rangeRad, speedRadPerS }: GoingHome,
  { stepRad, loopPeriodS }: { stepRad: number; loopPeriodS: number },
): string[] {
  if (by === 'nothing') {
    return [
      'Its angles count from wherever it stands when the program begins: the same place each time, or all positions are off by as much.',
    ];
  }
  if (by === 'hand') {
    return [
      'Home by hand is as exact as the eye: send it “home” as a position, five times, and read where it stands.',
    ];
  }
  const sentences: string[] = [];
  if (power !== null && power > LOW_POWER) {
    sentences.push(
      `${percent(power)} of power presses hard on its ${by}: ${percent(LOW_POWER)} or less do.`,
    );
  }
  if (rangeRad !== null && speedRadPerS !== null) {
    const wholeS = rangeRad / speedRadPerS;
    sentences.push(
      `Stop the motor after ${number(timeoutS(wholeS), 1)} s at the latest: over its whole range of ${degrees(rangeRad, 0)} it takes ${number(wholeS, 1)} s.`,
    );
  }
  if (by === 'stop' && speedRadPerS !== null) {
    sentences.push(
      `It stands at its stop when its counter has not changed for ${number(stalledAfterS(speedRadPerS, stepRad, loopPeriodS), 2)} s.`,
    );
  }
  return sentences;
}
