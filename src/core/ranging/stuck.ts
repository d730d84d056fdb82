import { mean } from '../stats/moments';
import { distinct, type Heard } from './rangeNoise';

/** Readings that change by less than this share of the way that the tape changes do not follow it. */
const FOLLOWS = 0.2;
/** So many distances in a row, at least, that read the same. */
const LEAST_ALIKE = 2;

/** How many of the distances, from the first on, read the same although the tape says otherwise. */
function alikeFromFirst(distances: readonly number[], readings: readonly number[]): number {
  let last = 0;
  for (let i = 1; i < distances.length; i += 1) {
    const byTape = Math.abs((distances[i] ?? 0) - (distances[i - 1] ?? 0));
    const byReading = Math.abs((readings[i] ?? 0) - (readings[i - 1] ?? 0));
    if (byReading > FOLLOWS * byTape) break;
    last = i;
  }
  return last + 1 >= LEAST_ALIKE ? last + 1 : 0;
}

/**
 * The distances at either end at which a sensor sticks: nearer than it can read, or further than it reaches, it shows
 * the same whatever the tape says. They are no part of its line, however well a line can be laid through them.
 *
 * @returns none where it would stick everywhere: then it is no sensor's end
 */
export function stuckAtEnds(heard: readonly Heard[]): Set<number> {
  const distances = distinct(heard.map(({ trueM }) => trueM));
  const readings = distances.map((at) =>
    mean(heard.filter(({ trueM }) => trueM === at).map(({ readingM }) => readingM)),
  );
  const near = alikeFromFirst(distances, readings);
  const far = alikeFromFirst(distances.toReversed(), readings.toReversed());
  if (near + far >= distances.length) return new Set();
  return new Set([...distances.slice(0, near), ...distances.slice(distances.length - far)]);
}
