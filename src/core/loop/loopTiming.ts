import { median } from '../stats/median';
import { mean } from '../stats/moments';

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

/** A round of a loop: when it began, and how long it took. */
export interface LoopRound {
  atS: number;
  tookS: number;
}

/** The rounds between the moments at which a loop wrote its clock; repeated time stamps are one moment. */
export function loopRounds(tS: ArrayLike<number>): LoopRound[] {
  const moments = Array.from(tS).filter((t, i) => i === 0 || t > (tS[i - 1] ?? Infinity));
  return moments.slice(1).map((t, i) => ({ atS: moments[i] ?? t, tookS: t - (moments[i] ?? t) }));
}

/**
 * The period of a loop from the time stamps that it wrote: mean, usual and worst, and how many rounds came late.
 * Repeated time stamps (a clock of whole milliseconds, two lines of one round) are one round.
 *
 * @param tS ascending
 * @returns null with fewer than two different moments
 */
export function loopTiming(tS: ArrayLike<number>): LoopTiming | null {
  const rounds = loopRounds(tS);
  const [first] = rounds;
  if (first === undefined) return null;
  const periods = rounds.map(({ tookS }) => tookS);
  const medianS = median(periods);
  const worst = rounds.reduce((a, b) => (b.tookS > a.tookS ? b : a), first);
  return {
    rounds: rounds.length,
    meanS: mean(periods),
    medianS,
    worstS: worst.tookS,
    worstAtS: worst.atS,
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
