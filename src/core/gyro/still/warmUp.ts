import { fUpperTail } from '../../stats/fDistribution';
import { student975 } from '../../stats/student';
import type { HeadingLog, Span } from '../../channels/log';
import type { SteppedLog } from '../passages';

/** Whether the drift itself changes during a log, as it does while a sensor warms up. */
export interface WarmUp {
  startRadPerS: number;
  endRadPerS: number;
  pValue: number;
  /** Proved at 0.5 %, and more than the reading's step can feign. */
  changing: boolean;
  /** Not proved, and yet what chance makes in one of ten steady logs only. */
  hinted: boolean;
  /** The time in which what is left of the change falls to 37 %. */
  timeConstantS: number;
  /** Mean drift during the next run by the fitted course, 95 %. */
  nextRunLow95: number;
  nextRunHigh95: number;
}

/** A fitted course of the drift: lasting + fading · e^(−t/timeConstant), t from the start of the log. */
export interface DriftCourse {
  startS: number;
  lastingRadPerS: number;
  fadingRadPerS: number;
  timeConstantS: number;
}

const BLOCKS = 16;
/** Fewer blocks, or a smaller untouched share of the log, tell no course. */
const LEAST_BLOCKS = 6;
const LEAST_SHARE = 0.7;
/** Time constants that are tried, as parts of the log. */
const SHORTEST = 1 / 16;
const LONGEST = 3;
const CONSTANTS = 40;
const PROVED = 0.005;
const HINTED = 0.1;

interface Block {
  fromS: number;
  toS: number;
  rate: number;
}

/** The drift of equal blocks, end minus start: independent for a random walk. Times from the log's start. */
function blocksOf({ log: { tS, headingRad }, windows }: SteppedLog, { fromS: start, toS }: Span) {
  const total = toS - start;
  return windows.flatMap(({ from, to }) => {
    const length = (tS[to - 1] ?? 0) - (tS[from] ?? 0);
    const parts = Math.min(Math.round((BLOCKS * length) / total), to - from - 1);
    return Array.from({ length: parts }, (_, k): Block => {
      const first = from + Math.floor(((to - 1 - from) * k) / parts);
      const last = from + Math.floor(((to - 1 - from) * (k + 1)) / parts);
      const fromS = (tS[first] ?? 0) - start;
      const toS = (tS[last] ?? 0) - start;
      const rate = ((headingRad[last] ?? 0) - (headingRad[first] ?? 0)) / (toS - fromS);
      return { fromS, toS, rate };
    });
  });
}

/** Mean of e^(−t/constant) from one time to another. */
const meanFade = (fromS: number, toS: number, constantS: number): number =>
  (constantS * (Math.exp(-fromS / constantS) - Math.exp(-toS / constantS))) / (toS - fromS);

/** Least squares of the blocks' drifts on 1 and the fade, for one time constant; weights by length. */
function fitCourse(blocks: readonly Block[], constantS: number) {
  const sum = (of: (block: Block, fade: number) => number) =>
    blocks.reduce(
      (total, block) =>
        total + (block.toS - block.fromS) * of(block, meanFade(block.fromS, block.toS, constantS)),
      0,
    );
  const weight = sum(() => 1);
  const meanRate = sum(({ rate }) => rate) / weight;
  const meanF = sum((_, fade) => fade) / weight;
  const sff = sum((_, fade) => (fade - meanF) ** 2);
  const fading = sum(({ rate }, fade) => (fade - meanF) * (rate - meanRate)) / sff;
  const lasting = meanRate - fading * meanF;
  const square = sum(({ rate }, fade) => (rate - lasting - fading * fade) ** 2);
  return {
    constantS,
    lasting,
    fading,
    square,
    at: (fade: number) => lasting + fading * fade,
    /** Variance of the fitted drift at a fade, in units of the noise's. */
    leverage: (fade: number) => 1 / weight + (fade - meanF) ** 2 / sff,
  };
}

/**
 * Whether the drift of a sensor at rest is proved to change, and its course: a lasting drift and one that
 * dies away, against one drift for all, by an F-test on the drifts of sixteen blocks.
 *
 * The mean drift of the next run follows from every course that the log does not contradict (profile of
 * the time constant at 95 %), each with Student's interval. The time constant enters the test as a
 * parameter. Source: Seber and Wild, Nonlinear Regression (1989), sections 5.4 and 5.9.
 * @param runDurationS the run begins when the log ends
 * @param span the whole log, from its first reading to its last
 * @returns null for a log of which less than seven tenths are untouched, or that passes too few steps
 */
export function findWarmUp(
  stepped: SteppedLog,
  span: Span,
  runDurationS: number,
): { warmUp: WarmUp; course: DriftCourse } | null {
  const blocks = blocksOf(stepped, span);
  const n = blocks.length;
  const startS = span.fromS;
  const lengthS = span.toS - startS;
  const weight = blocks.reduce((sum, { fromS, toS }) => sum + toS - fromS, 0);
  if (n < LEAST_BLOCKS || weight < LEAST_SHARE * lengthS) return null;
  const fits = Array.from({ length: CONSTANTS }, (_, i) =>
    fitCourse(blocks, lengthS * SHORTEST * (LONGEST / SHORTEST) ** (i / (CONSTANTS - 1))),
  );
  const best = fits.reduce((a, b) => (b.square < a.square ? b : a));
  const mean = blocks.reduce((sum, { fromS, toS, rate }) => sum + (toS - fromS) * rate, 0) / weight;
  const flat = blocks.reduce(
    (s, { fromS, toS, rate }) => s + (toS - fromS) * (rate - mean) ** 2,
    0,
  );
  const degreesOfFreedom = n - 3;
  // Noise below this is none: a course without scatter is proved all the same.
  const noise = Math.max(best.square / degreesOfFreedom, 1e-20 * weight);
  const pValue = fUpperTail((flat - best.square) / 2 / noise, 2, degreesOfFreedom);
  const startRadPerS = best.at(1);
  const endRadPerS = best.at(Math.exp(-lengthS / best.constantS));
  const change = Math.abs(endRadPerS - startRadPerS);
  const feigned = stepped.quantumRad / (weight / n);
  // The constants next to the best one are always possible: between them nothing is tried.
  const possible = fits.filter(
    ({ square }, i) =>
      Math.abs(i - fits.indexOf(best)) <= 1 ||
      square - best.square <= noise * student975(degreesOfFreedom) ** 2,
  );
  const next = possible.map(({ constantS, at, leverage }) => {
    const fade = meanFade(lengthS, lengthS + runDurationS, constantS);
    const half = student975(degreesOfFreedom) * Math.sqrt(noise * leverage(fade));
    return { low: at(fade) - half, high: at(fade) + half };
  });
  return {
    warmUp: {
      startRadPerS,
      endRadPerS,
      pValue,
      changing: pValue < PROVED && change > feigned,
      hinted: pValue >= PROVED && pValue < HINTED && change > feigned,
      timeConstantS: best.constantS,
      nextRunLow95: Math.min(...next.map(({ low }) => low)),
      nextRunHigh95: Math.max(...next.map(({ high }) => high)),
    },
    course: {
      startS,
      lastingRadPerS: best.lasting,
      fadingRadPerS: best.fading,
      timeConstantS: best.constantS,
    },
  };
}

/** A heading log with the part of its course that dies away taken out. */
export function withoutFading({ tS, headingRad }: HeadingLog, course: DriftCourse): HeadingLog {
  const { startS, fadingRadPerS, timeConstantS } = course;
  return {
    tS,
    headingRad: headingRad.map(
      (value, i) =>
        value +
        fadingRadPerS * timeConstantS * Math.exp(-((tS[i] ?? startS) - startS) / timeConstantS),
    ),
  };
}

/** The fading part may still turn the heading by this share of what a run can bear. */
const SETTLED_SHARE = 0.1;
/** At least so much longer: a minute on. */
const LEAST_WAIT_S = 60;

/**
 * Until when a sensor that warms up has to lie, s from the start of the log: what is left of the fading
 * part then turns the heading by less than a tenth of the tolerance, in however long a run.
 */
export function settledAfter(
  { fadingRadPerS, timeConstantS }: DriftCourse,
  toleranceRad: number,
  lengthS: number,
): number {
  const leftAtStart = Math.abs(fadingRadPerS) * timeConstantS;
  const settledS = timeConstantS * Math.log(leftAtStart / (SETTLED_SHARE * toleranceRad));
  return Math.max(lengthS + LEAST_WAIT_S, settledS);
}
