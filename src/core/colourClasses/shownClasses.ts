import type { Nearest } from './gaussian';
import type { ByClass } from './judged';
import type { ColourReading } from './reading';

const shownBy = (reading: ColourReading): string => (reading.kind === 'class' ? reading.shown : '');

/** For what a sensor says of itself, how many readings of each class say so. */
function tally(readings: ByClass): Map<string, number[]> {
  const counts = new Map<string, number[]>();
  for (const [c, row] of readings.entries()) {
    for (const reading of row) {
      const of = counts.get(shownBy(reading)) ?? readings.map(() => 0);
      of[c] = (of[c] ?? 0) + 1;
      counts.set(shownBy(reading), of);
    }
  }
  return counts;
}

/** What of each class's readings says so: classes of which more were read count no more. */
const sharesOf = (counts: readonly number[], sizes: readonly number[]): number[] =>
  counts.map((count, c) => count / Math.max(1, sizes[c] ?? 1));

function mostLikely(shares: readonly number[]): Nearest {
  const sum = shares.reduce((all, one) => all + one, 0);
  return {
    at: shares.indexOf(Math.max(...shares)),
    isNone: sum === 0,
    probabilities: shares.map((one) => (sum > 0 ? one / sum : 1 / shares.length)),
  };
}

/** Each reading of a sensor that says classes itself, judged by what the others say. */
export function shownLeaveOneOut(readings: ByClass): (Nearest | null)[][] {
  const counts = tally(readings);
  const sizes = readings.map(({ length }) => length);
  return readings.map((row, c) =>
    row.map((reading) => {
      if (row.length < 2) return null;
      const others = (counts.get(shownBy(reading)) ?? []).map((n, k) => (k === c ? n - 1 : n));
      return mostLikely(sharesOf(others, sizes.with(c, row.length - 1)));
    }),
  );
}

/** What the sensor says of each class, the most frequent first. */
export function shownOf(row: readonly ColourReading[]): { shown: string; share: number }[] {
  const shown = [...new Set(row.map(shownBy))];
  return shown
    .map((one) => ({
      shown: one,
      share: row.filter((r) => shownBy(r) === one).length / row.length,
    }))
    .toSorted((a, b) => b.share - a.share);
}

/** What the sensor may say that belongs to each class. */
export function shownFor(readings: ByClass): string[][] {
  const sizes = readings.map(({ length }) => length);
  const owners = [...tally(readings)].map(
    ([shown, counts]) => [shown, mostLikely(sharesOf(counts, sizes)).at] as const,
  );
  return readings.map((_, c) => owners.filter(([, at]) => at === c).map(([shown]) => shown));
}
