import { median } from '../stats/median';

/** One excursion of an error to one side of its target, and its farthest point. */
export interface Swing {
  tS: number;
  error: number;
}

export interface Swings {
  /** From the first excursion on, alternately to either side. */
  swings: Swing[];
  /** An excursion is one beyond this: far outside the noise, and a share of the largest. */
  band: number;
  /** Median size of a swing over the one before it; null with fewer than two. */
  decay: number | null;
  /** From the first farthest point until the error is within the band; null if it never is. */
  returnS: number | null;
  /** How long the trace goes on after the first farthest point. */
  afterS: number;
}

/** Share of the largest error that counts as back on the target. */
const BAND_SHARE = 0.12;
const NOISE_SDS = 4;
/** The ratio of a normal distribution's standard deviation to its median absolute deviation. */
const SD_PER_MAD = 1.4826;

/**
 * Noise of single readings, from second differences, which a smooth course leaves almost nothing in. A program that
 * is faster than its sensor reads the same reading several times: each counts once.
 */
function noiseOf(errors: readonly number[]): number {
  const read = errors.filter((value, i) => i === 0 || value !== errors[i - 1]);
  const seconds = read.slice(2).map((value, i) => value - 2 * (read[i + 1] ?? 0) + (read[i] ?? 0));
  return seconds.length === 0 ? 0 : (SD_PER_MAD * median(seconds.map(Math.abs))) / Math.sqrt(6);
}

/**
 * The swings of an error about its target: farthest points of excursions beyond a band, so that noise about 0 makes
 * none. Of a disturbance that dies out without crossing there is one.
 *
 * Source: logarithmic decrement of successive half swings, e.g. Åström and Murray, Feedback Systems (2008),
 * section 6.3.
 * @param tS in order
 * @param wantedBand what counts as back on the target, if it is not to be a share of the largest error
 */
export function swingsOf(
  tS: readonly number[],
  errors: readonly number[],
  wantedBand?: number,
): Swings {
  const largest = errors.reduce((most, error) => Math.max(most, Math.abs(error)), 0);
  const band = Math.max(wantedBand ?? BAND_SHARE * largest, NOISE_SDS * noiseOf(errors));
  const swings: Swing[] = [];
  let returnS: number | null = null;
  for (const [i, error] of errors.entries()) {
    const at = tS[i] ?? 0;
    const last = swings.at(-1);
    if (Math.abs(error) > band) {
      if (last === undefined || Math.sign(last.error) !== Math.sign(error)) {
        swings.push({ tS: at, error });
      } else if (Math.abs(error) > Math.abs(last.error)) {
        last.tS = at;
        last.error = error;
      }
    } else if (swings.length === 1 && returnS === null && last !== undefined) {
      returnS = at - last.tS;
    }
    // A second excursion to the other side came back through the target as well.
    if (swings.length === 2 && returnS === null) returnS = at - (swings[0]?.tS ?? at);
  }
  const ratios = swings
    .slice(1)
    .map((swing, i) => Math.abs(swing.error / (swings[i]?.error ?? Number.NaN)));
  const first = swings[0];
  return {
    swings,
    band,
    decay: ratios.length === 0 ? null : median(ratios),
    returnS,
    afterS: first === undefined ? 0 : (tS.at(-1) ?? 0) - first.tS,
  };
}
