import { degreesFromRadians } from '../geometry/angle';
import { number, turnSign } from '../text/quantities';

/** A drift with its direction in degrees per second, with two digits that mean something. */
export const driftText = (radPerS: number): string => driftSize(turnSign() * radPerS);

/** The size of a rate, in the same way. */
export function driftSize(radPerS: number): string {
  const value = degreesFromRadians(radPerS);
  const decimals = Math.abs(value) >= 1 ? 1 : Math.abs(value) >= 0.1 ? 2 : 3;
  return `${number(value, decimals)} °/s`;
}
