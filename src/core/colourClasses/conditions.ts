import type { ColourReading, ColourSample } from './reading';

/** Readings of a class that lie at the end of the scale. */
export interface Clipped {
  name: string;
  n: number;
}

/** How many readings under the same conditions were taken for another class. */
export interface Under {
  distanceM: number | null;
  light: string | null;
  unit: string | null;
  wrong: number;
  n: number;
}

const channelsOf = (reading: ColourReading): number[] =>
  reading.kind === 'rgb' ? [reading.red, reading.green, reading.blue, reading.clear ?? 0] : [];

export const clippedIn = (names: readonly string[], samples: readonly ColourSample[]): Clipped[] =>
  names
    .map((name) => ({
      name,
      n: samples.filter(
        (one) => one.name === name && channelsOf(one.reading).some((share) => share >= 1),
      ).length,
    }))
    .filter(({ n }) => n > 0);

/** @param wrongs for each sample, whether it was taken for another class */
export function errorsUnder(samples: readonly ColourSample[], wrongs: readonly boolean[]): Under[] {
  const found: Under[] = [];
  for (const [i, { distanceM, light, unit }] of samples.entries()) {
    if (distanceM === null && light === null && unit === null) continue;
    let under = found.find(
      (one) => one.distanceM === distanceM && one.light === light && one.unit === unit,
    );
    if (under === undefined) {
      under = { distanceM, light, unit, wrong: 0, n: 0 };
      found.push(under);
    }
    under.n += 1;
    if (wrongs[i] === true) under.wrong += 1;
  }
  return found.toSorted((a, b) => (a.distanceM ?? 0) - (b.distanceM ?? 0));
}
