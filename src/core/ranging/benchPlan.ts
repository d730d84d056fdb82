import { roundLength } from '../text/lengths';

/** Distances of a bench table, from a dead zone's edge to the end of a table, round in the team's unit. */
export const benchDistancesM = (): number[] =>
  [0.05, 0.1, 0.2, 0.3, 0.5, 0.8, 1.2, 1.6].map(roundLength);
/** So many readings of each tell its scatter. */
export const READINGS_EACH = 6;

const isSame = (a: number, b: number): boolean => Math.abs(a - b) < 5e-4;

/** The distance before or after one, in the order of a bench; the same at its ends. */
export function neighbour(trueM: number, by: 1 | -1): number {
  const next =
    by > 0
      ? benchDistancesM().find((one) => one > trueM && !isSame(one, trueM))
      : benchDistancesM().findLast((one) => one < trueM && !isSame(one, trueM));
  return next ?? trueM;
}

/** Where to go on after a reading: the same distance until it has its readings, then the next. */
export function nextDistance(trueM: number, readings: readonly { trueM: number }[]): number {
  const here = readings.filter((one) => isSame(one.trueM, trueM)).length;
  return here >= READINGS_EACH ? neighbour(trueM, 1) : trueM;
}
