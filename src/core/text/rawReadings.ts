import { shortNumber } from './quantities';

/** Digits behind the point of readings in steps; those in none get three. */
const decimalsOf = (step: number): number =>
  step > 0 ? Math.max(0, Math.round(-Math.log10(step))) : 3;

/** A reading as its sensor shows it. @param step in which it shows readings; 0: none is seen */
export const readingText = (reading: number, step: number): string =>
  shortNumber(reading, decimalsOf(step));

/** A mean or a spread of readings: a digit more than each has. */
export const meanText = (value: number, step: number): string =>
  shortNumber(value, decimalsOf(step) + (step > 0 ? 1 : 0));

/** The reading that a program compares with: none lies between it and the threshold. */
const typed = (threshold: number, step: number, isUpTo: boolean): number =>
  step > 0 ? (isUpTo ? Math.floor : Math.ceil)(threshold / step) * step : threshold;

/** "31 or less", as a program has it, for what lies below a threshold; "32 or more" for what lies above. */
export const upToText = (threshold: number, step: number): string =>
  `${readingText(typed(threshold, step, true), step)} or less`;
export const fromText = (threshold: number, step: number): string =>
  `${readingText(typed(threshold, step, false), step)} or more`;
