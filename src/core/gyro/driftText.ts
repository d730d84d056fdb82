import { degreesFromRadians } from '../geometry/angle';
import { number, turnSign } from '../text/quantities';

/** A drift with its direction in degrees per second, with two digits that mean something. */
export const driftText = (radPerS: number): string => driftSize(turnSign() * radPerS);

/** Two digits of a rate in degrees per second; three decimals are the most that a sensor tells. */
const decimalsOf = (degPerS: number): number =>
  Math.abs(degPerS) >= 1 ? 1 : Math.abs(degPerS) >= 0.1 ? 2 : 3;

/** The size of a rate, in the same way. */
export function driftSize(radPerS: number): string {
  const value = degreesFromRadians(radPerS);
  return `${number(value, decimalsOf(value))} °/s`;
}

/** A drift and half the width of its interval, degrees per second: both as fine as the interval is. */
export function driftFigures(check: { driftRadPerS: number; low95: number; high95: number }): {
  drift: string;
  plusMinus: string;
} {
  const half = degreesFromRadians((check.high95 - check.low95) / 2);
  // An interval is never said to be nothing.
  const decimals = half < 0.001 ? 4 : decimalsOf(half);
  const inDigits = (degPerS: number) => number(degPerS, decimals);
  return {
    drift: inDigits(turnSign() * degreesFromRadians(check.driftRadPerS)),
    plusMinus: inDigits(half),
  };
}

/** A measured drift: "−0.566 ± 0.004 °/s". */
export function measuredDrift(check: Parameters<typeof driftFigures>[0]): string {
  const { drift, plusMinus } = driftFigures(check);
  return `${drift} ± ${plusMinus} °/s`;
}
