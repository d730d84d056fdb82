const DIGITS = 4;

/** With so many digits behind the point a number has four that count, and no more than six. */
export const significantDecimals = (value: number): number =>
  value === 0 ? 0 : Math.min(6, Math.max(0, DIGITS - 1 - Math.floor(Math.log10(Math.abs(value)))));
