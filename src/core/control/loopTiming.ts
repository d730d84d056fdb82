import { median } from '../stats/median';

/** How regularly a program's loop comes round, by the time stamps of its log. */
export interface LoopTiming {
  rounds: number;
  meanS: number;
  medianS: number;
  worstS: number;
  /** When the worst one began. */
  worstAtS: number;
  /** Rounds that took more than twice the usual time. */
  late: number;
}

const LATE = 2;

/**
 * The period of a loop from the time stamps that it wrote: mean, usual and worst, and how many rounds came late.
 * Repeated time stamps (a clock of whole milliseconds, two lines of one round) are one round.
 *
 * @param tS ascending
 * @returns null with fewer than two different moments
 */
export function loopTiming(tS: ArrayLike<number>): LoopTiming | null {
  const moments = Array.from(tS).filter((t, i) => i === 0 || t > (tS[i - 1] ?? Infinity));
  const periods = moments.slice(1).map((t, i) => t - (moments[i] ?? t));
  if (periods.length === 0) return null;
  const worstS = Math.max(
    ...periods.slice(0, 1),
    periods.reduce((a, b) => Math.max(a, b), 0),
  );
  const medianS = median(periods);
  return {
    rounds: periods.length,
    meanS: ((moments.at(-1) ?? 0) - (moments[0] ?? 0)) / periods.length,
    medianS,
    worstS,
    worstAtS: moments[periods.indexOf(worstS)] ?? Number.NaN,
    late: periods.filter((period) => period > LATE * medianS).length,
  };
}

/**
 * How far a value moves from one round of a loop to the next: whoever waits for one value alone (`=`) misses it where
 * the value steps over it. An inequality with the sign of the motion never does.
 */
export const stepPerRound = (ratePerS: number, periodS: number): number =>
  Math.abs(ratePerS) * periodS;

/** The share of waits for one value alone that miss it, where readings come in steps of a quantum. */
export const missedShare = (ratePerS: number, periodS: number, quantum: number): number =>
  Math.max(0, 1 - quantum / stepPerRound(ratePerS, periodS));
