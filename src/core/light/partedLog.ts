import type { LightReading } from './heights';

/** Readings between the two levels belong to neither: the spot lay on the edge. */
const MIDDLE = 1 / 3;
/** Of one stretch over a surface no more are taken: the next stretch tells more. */
const MOST_EACH = 5;
/** Fewer readings on either side are no surface. */
const FEWEST = 2;

/**
 * The level that parts two groups of readings best: the largest variance between them.
 *
 * Source: Otsu, IEEE Trans. Syst. Man Cybern. 9 (1979) 62–66, on the readings themselves.
 * @returns null where all readings are alike
 */
export function partingLevel(readings: readonly number[]): number | null {
  const sorted = readings.toSorted((a, b) => a - b);
  const total = sorted.reduce((sum, one) => sum + one, 0);
  let [best, level, sum]: [number, number | null, number] = [0, null, 0];
  for (let k = 1; k < sorted.length; k += 1) {
    sum += sorted[k - 1] ?? 0;
    if (sorted[k] === sorted[k - 1]) continue;
    const apart = sum / k - (total - sum) / (sorted.length - k);
    const between = k * (sorted.length - k) * apart ** 2;
    if (between > best) [best, level] = [between, ((sorted[k - 1] ?? 0) + (sorted[k] ?? 0)) / 2];
  }
  return level;
}

const meanOf = (values: readonly number[]): number =>
  values.reduce((sum, one) => sum + one, 0) / values.length;

/**
 * Readings of a robot that was rolled over a line and its floor, parted by themselves: each stretch over one of both is a
 * place of its own. The line is what it was over for less of the time.
 *
 * @param readings in the order in which they were made; null: none then
 * @returns null where they do not fall into two
 */
export function partedLog(readings: readonly (number | null)[]): LightReading[] | null {
  const read = readings.filter((one) => one !== null);
  const level = partingLevel(read);
  if (level === null) return null;
  const [low, high] = [read.filter((one) => one <= level), read.filter((one) => one > level)];
  if (Math.min(low.length, high.length) < FEWEST) return null;
  const [lowMean, highMean] = [meanOf(low), meanOf(high)];
  const margin = MIDDLE * (highMean - lowMean);
  const lineIsLow = low.length <= high.length;
  const found: LightReading[] = [];
  let [side, stretch, taken]: [string, number, number] = ['', 0, 0];
  for (const reading of read) {
    const isLow = reading < lowMean + margin;
    if (!isLow && reading <= highMean - margin) continue;
    const over = isLow === lineIsLow ? 'line' : 'floor';
    if (over !== side) [side, stretch, taken] = [over, stretch + 1, 0];
    taken += 1;
    if (taken <= MOST_EACH) found.push({ over, place: `${stretch}`, reading, heightM: null });
  }
  return found;
}
