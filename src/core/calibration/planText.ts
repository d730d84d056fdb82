import type { Route } from '../course/route';
import { turnsIn } from '../course/turnsIn';
import { capitalised } from '../text/capitalised';
import { counted, number } from '../text/quantities';
import type { CalibrationValue } from './calibration';
import { calibrationOf } from './find';
import { describeCalibration, kindOfCalibration } from './registry';
import type { TurnChanges } from './applyTurns';
import { knowsSpins } from '../calibrationValues/turnStop';

/** A calibration and the day it was made. */
export interface DatedCalibration {
  value: CalibrationValue;
  day: string;
}

/** By what every heading is told, where the heading sensor does not read right; empty where it does. */
export function headingsCommanded(value: CalibrationValue): string {
  const scale = kindOfCalibration(value.kind).headingScale?.(value) ?? 1;
  return scale === 1
    ? ''
    : `In the program tell every heading × ${number(scale, 4)}, counted from the start: in turns and in drives that hold one.`;
}

/**
 * How the turns of a route stand to a calibration.
 *
 * @param named "the calibration of 3 May (today)"
 * @param isCurrent whether the route names it
 */
export function turnsStandText(
  { changes, known, unknown }: TurnChanges,
  named: string,
  isCurrent: boolean,
): string {
  const untried =
    unknown === 0
      ? ''
      : ` ${counted(unknown, 'turn')} at a rate that nobody tried: there it stops as early as typed.`;
  if (known === 0) {
    return `No turn of this route is at a rate that ${named} knows: they stop as early as typed.`;
  }
  return changes.length === 0
    ? `The turns are as ${named} wants them.${untried}`
    : `${capitalised(named)} would change ${counted(changes.length, 'turn')}${isCurrent ? ', typed otherwise since' : ''}.${untried}`;
}

/**
 * With which calibrations a route was planned, in sentences for its step card.
 *
 * @param turns the one that the route names; null where it names none
 * @param others those that the plan is computed with, in words
 */
export function planText(
  route: Route,
  turns: DatedCalibration | null,
  others: readonly string[],
): string[] {
  const hasTurns = turnsIn(route) > 0;
  const measured = turns && calibrationOf([turns.value], 'turns');
  const ofTurns =
    turns === null || measured === null || !knowsSpins(measured)
      ? 'Turns stop as early as typed: no measured turns stand behind them.'
      : `Turns as measured on ${turns.day} (${describeCalibration(turns.value)}). ${headingsCommanded(turns.value)}`.trim();
  return [
    ...(hasTurns ? [ofTurns] : []),
    ...(others.length > 0 ? [`Computed with ${others.join('; ')}.`] : []),
  ];
}
