import { degrees } from '../text/quantities';
import { turnedBy, type TurnErrorModel } from './errorModel';

/** How wrong a robot faces after turns to one side, by what its program does with the heading before each. */
export interface AfterTurns {
  turns: number;
  /** The heading is set to 0 before each turn: the errors of all add up. */
  zeroedRad: number;
  zeroedSdRad: number;
  /** Headings are counted on from the start: each turn takes out what the one before left. */
  countedOnRad: number;
  countedOnSdRad: number;
}

const SO_MANY = [1, 2, 4, 8];
/** Fewer turns do not tell how single ones scatter. */
const LEAST_TRIALS = 4;

/**
 * What is left over after turns that are told a target each, zeroed before each or to headings counted on from the
 * start. The gyro's drift meanwhile comes to both alike.
 *
 * Source: independent errors add by their means and variances; a turn to a heading ends where it would have ended
 * without the errors before it.
 * @returns nothing where too few turns were tried to tell how single ones scatter
 */
export function afterTurns(model: TurnErrorModel, targetRad: number): AfterTurns[] {
  if (model.n < LEAST_TRIALS) return [];
  const each = turnedBy(model, targetRad) - targetRad;
  return SO_MANY.map((turns) => ({
    turns,
    zeroedRad: turns * each,
    zeroedSdRad: Math.sqrt(turns) * model.residualSdRad,
    countedOnRad: each,
    countedOnSdRad: model.residualSdRad,
  }));
}

/** An error with its scatter: "2.6° ± 3.5°". */
export const withScatter = (meanRad: number, sdRad: number): string =>
  `${degrees(meanRad)} ± ${degrees(sdRad)}`;

/** What to do, in a sentence; null where nothing is known. */
export function zeroingSentence(rows: readonly AfterTurns[], targetRad: number): string | null {
  const last = rows.at(-1);
  if (last === undefined) return null;
  const { turns, zeroedRad, zeroedSdRad, countedOnRad, countedOnSdRad } = last;
  return `Count headings on from the start. After ${turns} turns of ${degrees(targetRad, 0)} to one side it then faces ${withScatter(countedOnRad, countedOnSdRad)} wrong, the error of the last one; zeroed before each, ${withScatter(zeroedRad, zeroedSdRad)}, those of all of them. Zero only where the true heading is known: in the jig, against a wall. Drift comes to both.`;
}
