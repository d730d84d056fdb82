import { randomStream } from '../stats/random';

/** Periods of the finest and of the whole walk: 0.02 s · 2²² is a day. */
const LEVELS = 22;

/** A standard normal that is a function of its place only. */
const normalAt = (seed: number, level: number, index: number): number =>
  randomStream(seed, index, `walk-${level}`).normal();

/**
 * A random walk (Brownian motion) at whole numbers of periods, each value a function of the seed and
 * its place alone: whoever asks, whenever and in whatever order, is told the same walk.
 *
 * Source: Lévy's construction by midpoint displacement, e.g. Mörters and Peres, Brownian Motion, 2010, 1.1.
 * @param index 0 to 2²²
 * @returns the walk at that place, of standard deviation √index
 */
export function walkAt(seed: number, index: number): number {
  const whole = 2 ** LEVELS;
  if (index <= 0) return 0;
  let low = 0;
  let high = whole;
  let atLow = 0;
  let atHigh = Math.sqrt(whole) * normalAt(seed, 0, 0);
  for (let level = 1; level <= LEVELS && index !== high; level += 1) {
    const middle = (low + high) / 2;
    const sd = Math.sqrt((high - low) / 4);
    const atMiddle = (atLow + atHigh) / 2 + sd * normalAt(seed, level, middle);
    if (index < middle) {
      high = middle;
      atHigh = atMiddle;
    } else {
      low = middle;
      atLow = atMiddle;
    }
    if (index === low) return atLow;
  }
  return atHigh;
}
