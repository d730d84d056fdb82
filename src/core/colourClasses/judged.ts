import { wilson } from '../stats/wilson';
import { leaveOneOut, type Nearest } from './gaussian';
import { hasHue, type ColourReading } from './reading';
import type { Representation } from './representations';

/** What of a class may be without a hue until the hue alone is refused. */
const MOST_WITHOUT_HUE = 0.1;
/** No single reading counts for more than being sure of the wrong one, a thousand to one. */
const MOST_SURPRISE = Math.log(1000);

/** Readings of each class, in the order of the names. */
export type ByClass = readonly (readonly ColourReading[])[];

/** How well classes are told apart in some way, each reading judged by the others. */
export interface Judged {
  id: string;
  name: string;
  /** A row for each class, of what its readings were taken for. */
  counts: number[][];
  /** Of each class, how many readings were none of all. */
  none: number[];
  wrong: number;
  n: number;
  /** For each reading: whether it was taken for another class, and how little its own was believed in. */
  wrongs: readonly boolean[];
  surprises: readonly number[];
}

/** Why the hue alone is not to be gone by; null: it may be. */
export function hueRefused(
  { byHueAlone }: Representation,
  names: readonly string[],
  readings: ByClass,
): string | null {
  if (!byHueAlone) return null;
  const without = readings.findIndex(
    (one) => one.filter((reading) => !hasHue(reading)).length > MOST_WITHOUT_HUE * one.length,
  );
  return without < 0
    ? null
    : `“${names[without] ?? ''}” is too grey or too dark to have a hue: there it is noise.`;
}

export function judgedFrom(
  { id, name }: { id: string; name: string },
  taken: readonly (readonly (Nearest | null)[])[],
): Judged {
  const counts = taken.map(() => taken.map(() => 0));
  const none = taken.map(() => 0);
  const wrongs: boolean[] = [];
  const surprises: number[] = [];
  for (const [c, row] of taken.entries()) {
    const counted = counts[c] ?? [];
    for (const one of row) {
      if (one === null) continue;
      counted[one.at] = (counted[one.at] ?? 0) + 1;
      if (one.isNone) none[c] = (none[c] ?? 0) + 1;
      wrongs.push(one.at !== c);
      surprises.push(Math.min(MOST_SURPRISE, -Math.log(one.probabilities[c] ?? 0)));
    }
  }
  const wrong = wrongs.filter(Boolean).length;
  return { id, name, counts, none, wrong, n: wrongs.length, wrongs, surprises };
}

export const judged = (representation: Representation, readings: ByClass): Judged =>
  judgedFrom(
    representation,
    leaveOneOut(
      readings.map((one) => one.map((reading) => representation.features(reading))),
      representation.isAngle,
    ),
  );

/** The rate of readings that were taken for another class, with Wilson's interval. */
export function rateOf({ wrong, n }: { wrong: number; n: number }) {
  const { rate, low95, high95 } = wilson(wrong, n) ?? { rate: Number.NaN, low95: 0, high95: 1 };
  return { value: rate, low95, high95 };
}

/** Whether one way takes more readings for another class than the other, beyond what chance does to those they differ in. */
const isWorse = (one: Judged, best: Judged): boolean => {
  const apart = one.wrongs.filter((wrong, i) => wrong !== best.wrongs[i]).length;
  return one.wrong - best.wrong > Math.sqrt(apart);
};

/** Mean of differences, pair by pair, with its standard error. */
function meanDifference(a: readonly number[], b: readonly number[]): { mean: number; se: number } {
  const differences = a.map((one, i) => one - (b[i] ?? 0));
  const n = differences.length;
  const mean = differences.reduce((sum, one) => sum + one, 0) / n;
  const squares = differences.reduce((sum, one) => sum + (one - mean) ** 2, 0);
  return { mean, se: Math.sqrt(squares / n / Math.max(1, n - 1)) };
}

/**
 * The way that tells the classes apart best, and all that cannot be told from it: of those that take no more readings for
 * another class than chance explains the one that believes most in the true one, and of those that believe about as much
 * the one with the fewest numbers.
 *
 * @param ways those of the fewest numbers first
 */
export function bestOf(ways: readonly Judged[]): { best: Judged; alike: Judged[] } | null {
  const [first] = ways.toSorted((a, b) => a.wrong - b.wrong);
  if (first === undefined) return null;
  const alike = ways.filter((one) => !isWorse(one, first));
  const sumOf = ({ surprises }: Judged) => surprises.reduce((sum, one) => sum + one, 0);
  const [surest] = alike.toSorted((a, b) => sumOf(a) - sumOf(b));
  const best =
    alike.find((one) => {
      const { mean, se } = meanDifference(one.surprises, (surest ?? first).surprises);
      return mean <= se;
    }) ?? first;
  return { best, alike };
}
