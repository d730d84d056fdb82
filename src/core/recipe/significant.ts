import { typed } from './figure';

const DIGITS = 4;

/** With so many digits behind the point a number has four that count, and no more than six. */
export const significantDecimals = (value: number): number =>
  value === 0 ? 0 : Math.min(6, Math.max(0, DIGITS - 1 - Math.floor(Math.log10(Math.abs(value)))));

/** A number in a line, with four digits that count. */
export const significant = (value: number): string => typed(value, significantDecimals(value));
