import { mean, sampleSd } from '../stats/moments';
import type { RandomStream } from '../stats/random';

/** Seconds that a change-over takes where none was measured, and how far single ones lie apart: in their logarithm. */
const GUESSED_S = 12;
const GUESSED_SD = 0.35;

/** From so many on it is known how far they lie apart. */
export const ENOUGH_CHANGE_OVERS = 4;

/** No change-over is drawn longer than this. */
const LONGEST_S = 600;

/** Student's t with so many degrees of freedom, drawn: a normal over the root of a mean square of others. */
function drawnT(degreesOfFreedom: number, random: RandomStream): number {
  let squares = 0;
  for (let i = 0; i < degreesOfFreedom; i += 1) squares += random.normal() ** 2;
  return random.normal() / Math.sqrt(squares / degreesOfFreedom);
}

/**
 * The next change-over, drawn: their logarithms are taken to be normal, as times of work by hand are (never below 0, and
 * some take far longer); with few measured ones the next may lie as far off as their prediction interval says.
 *
 * Source: Hahn and Meeker, Statistical Intervals, 1991, section 4.6 (prediction of one further observation).
 * @param measuredS seconds, above 0; with fewer than four their spread is a guess, with none their length as well
 * @returns seconds
 */
export function drawnChangeOver(measuredS: readonly number[], random: RandomStream): number {
  const logs = measuredS.map(Math.log);
  const n = logs.length;
  if (n === 0) return GUESSED_S * Math.exp(GUESSED_SD * Math.SQRT2 * random.normal());
  const wider = Math.sqrt(1 + 1 / n);
  const beside =
    n < ENOUGH_CHANGE_OVERS ? GUESSED_SD * random.normal() : sampleSd(logs) * drawnT(n - 1, random);
  return Math.min(LONGEST_S, Math.exp(mean(logs) + wider * beside));
}
