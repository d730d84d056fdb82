import type { CalibrationValue } from '../calibration/calibration';
import { CALIBRATION_KINDS, isByEarlierMethod } from '../calibration/registry';
import type { Robot } from '../robot/robot';
import { dayIn } from '../text/dates';
import { teamZone } from '../text/displaySettings';
import { counted } from '../text/quantities';
import type { RestsOn } from './restsOnSentence';
import type { Doubt } from './source';
import { SOURCES } from './sources';

/** A calibration that holds, and what it was made from. */
export interface KnownBy {
  value: CalibrationValue;
  /** The instant it was made. */
  madeAt: string;
  /** How many trials it rests on; null: a log. */
  trials: number | null;
}

/** The normal distribution's 97.5 % quantile. */
const Z = 1.96;

function bySentence(known: KnownBy | undefined, isMeasured: boolean): string {
  if (known === undefined) return 'a guess';
  const { value, madeAt, trials } = known;
  const day = dayIn(madeAt, teamZone());
  const from = trials === null ? 'a log' : counted(trials, 'trial');
  if (isByEarlierMethod(value)) return `by an earlier method, ${day}, ${from}: apply it again`;
  return isMeasured
    ? `measured ${day}, ${from}`
    : `a guess: what was measured ${day} does not tell it`;
}

/**
 * What each figure of a robot rests on: measured when, by how many trials, within what; or a guess.
 *
 * @param robot as it is computed with
 * @param doubts those that matter, of the same calibrations
 */
export function restsOn(
  robot: Robot,
  doubts: readonly Doubt[],
  known: readonly KnownBy[],
): RestsOn[] {
  return doubts.flatMap(({ name, sdRobot, measured, ofScatter = false }) => {
    const source = SOURCES.find((one) => one.name === name);
    if (source === undefined) return [];
    const kind = CALIBRATION_KINDS.find(
      ({ measuredBy }) => measuredBy.procedure === source.measuredBy,
    )?.kind;
    return {
      name,
      figure: source.figure(robot),
      within: ofScatter && !measured ? 'nobody knows' : source.within(Z * sdRobot, robot),
      isMeasured: measured,
      by: bySentence(
        known.find(({ value }) => value.kind === kind),
        measured,
      ),
      procedure: source.measuredBy,
    };
  });
}
