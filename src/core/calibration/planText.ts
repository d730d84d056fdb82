import type { Route } from '../course/route';
import { number } from '../text/quantities';
import type { CalibrationValue } from './calibration';
import { describeCalibration } from './registry';
import { headingScaleOf } from './turnStop';

/** A calibration and the day it was made. */
export interface DatedCalibration {
  value: CalibrationValue;
  day: string;
}

/** By what every heading is told, where the heading sensor does not read right; empty where it does. */
export function headingsTold(value: CalibrationValue): string {
  const scale = value.kind === 'turns' ? headingScaleOf(value) : 1;
  return scale === 1
    ? ''
    : `In the program tell every heading × ${number(scale, 4)}, counted from the start: in turns and in drives that hold one.`;
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
  const hasTurns = route.steps.some(({ kind }) => kind === 'turn');
  const ofTurns =
    turns === null
      ? 'Turns stop as early as typed: no measured turns stand behind them.'
      : `Turns as measured on ${turns.day} (${describeCalibration(turns.value)}). ${headingsTold(turns.value)}`.trim();
  return [
    ...(hasTurns ? [ofTurns] : []),
    ...(others.length > 0 ? [`Computed with ${others.join('; ')}.`] : []),
  ];
}
