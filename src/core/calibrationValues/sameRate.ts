/** Rates further apart than this are another turn. */
const SAME_RATE = 0.15;

/** Whether a turn at one rate tells of a turn at another: both are the same but for what a hand or a battery changes. */
export const isSameRate = (rateRadPerS: number, other: number): boolean =>
  Math.abs(rateRadPerS / other - 1) <= SAME_RATE;
