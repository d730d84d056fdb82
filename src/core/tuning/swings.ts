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
/** Of the squares that tell the noise so many are left out, the largest: a knock is none. */
const KNOCKS = 0.05;
/** A program that is faster than its sensor reads each reading so often; shorter runs are no more than this share. */
const SHORT_RUNS = 0.1;
/** A reading that shows so few different values rests on steps. */
const READINGS_PER_VALUE = 4;
/** Back on the target is what is nearer than one step of the reading. */
const STEP_SHARE = 0.75;

/** How many readings in a row are the same one: a sensor's own period, in those of the program. */
function readingsHeld(errors: readonly number[]): number {
  const changes = errors.flatMap((value, i) => (i > 0 && value !== errors[i - 1] ? [i] : []));
  const runs = changes
    .slice(1)
    .map((at, i) => at - (changes[i] ?? at))
    .sort((a, b) => a - b);
  const held = runs[Math.floor(SHORT_RUNS * runs.length)] ?? 1;
  return Math.min(held, Math.max(1, Math.floor(errors.length / 20)));
}

const secondDifferences = (read: readonly number[]): number[] =>
  read.slice(2).map((value, i) => value - 2 * (read[i + 1] ?? 0) + (read[i] ?? 0));

/** Of readings that flicker between few of their steps: equal ones in a row are readings, too. */
function noiseOnSteps(errors: readonly number[]): number {
  const held = readingsHeld(errors);
  const first = Math.max(
    0,
    errors.findIndex((value) => value !== errors[0]),
  );
  const read = errors.filter((_, i) => (i - first) % held === 0);
  const squares = secondDifferences(read)
    .map((second) => second ** 2)
    .sort((a, b) => a - b);
  const kept = squares.slice(0, Math.ceil((1 - KNOCKS) * squares.length));
  return Math.sqrt(kept.reduce((sum, one) => sum + one, 0) / Math.max(1, kept.length) / 6);
}

/**
 * Noise of single readings, from second differences, which a smooth course leaves almost nothing in. A program that
 * is faster than its sensor reads the same reading several times: each counts once, but where readings rest on their
 * steps.
 */
function noiseOf(errors: readonly number[], step: number): number {
  const onSteps = step > 0 ? noiseOnSteps(errors) : Infinity;
  if (onSteps < step) return onSteps;
  const read = errors.filter((value, i) => i === 0 || value !== errors[i - 1]);
  const seconds = secondDifferences(read);
  return seconds.length === 0 ? 0 : (SD_PER_MAD * median(seconds.map(Math.abs))) / Math.sqrt(6);
}

/** The step in which an error is read, 0 for none: the smallest gap where few values come again and again. */
function stepOf(errors: readonly number[]): number {
  const values = [...new Set(errors.map((value) => Number(value.toPrecision(9))))].sort(
    (a, b) => a - b,
  );
  if (errors.length < READINGS_PER_VALUE * values.length) return 0;
  const gaps = values.slice(1).map((value, i) => value - (values[i] ?? 0));
  return gaps.length === 0 ? 0 : Math.min(...gaps);
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
  const step = stepOf(errors);
  const band = Math.max(
    wantedBand ?? BAND_SHARE * largest,
    NOISE_SDS * noiseOf(errors, step),
    STEP_SHARE * step,
  );
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
