import { shortNumber } from '../text/quantities';

/** Digits behind the point of readings in steps; those in none get as many as tell a thousandth of the difference. */
const decimalsOf = (step: number): number =>
  step > 0 ? Math.max(0, Math.round(-Math.log10(step))) : 3;

/** A reading as the sensor shows it. */
export const readingText = (reading: number, step: number): string =>
  shortNumber(reading, decimalsOf(step));

/** A mean or a spread of readings: a digit more than each has. */
export const meanText = (value: number, step: number): string =>
  shortNumber(value, decimalsOf(step) + (step >= 1 ? 1 : 0));

/** The reading that a program compares with: none lies between it and the threshold. */
const typed = (threshold: number, step: number, isUpTo: boolean): number =>
  step > 0 ? (isUpTo ? Math.floor : Math.ceil)(threshold / step) * step : threshold;

/** "31 or less", as a program has it, for what lies below a threshold; "32 or more" for what lies above. */
export const upToText = (threshold: number, step: number): string =>
  `${readingText(typed(threshold, step, true), step)} or less`;
export const fromText = (threshold: number, step: number): string =>
  `${readingText(typed(threshold, step, false), step)} or more`;

/** By which readings it is the line. */
export const lineText = (
  { lineIs, step }: { lineIs: 'darker' | 'lighter'; step: number },
  threshold: number,
): string => (lineIs === 'darker' ? upToText : fromText)(threshold, step);

/** By which readings it is the floor again. */
export const floorText = (
  { lineIs, step }: { lineIs: 'darker' | 'lighter'; step: number },
  threshold: number,
): string => (lineIs === 'darker' ? fromText : upToText)(threshold, step);
