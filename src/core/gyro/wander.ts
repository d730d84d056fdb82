import { chiSquareQuantile } from '../stats/chiSquare';
import { evenHeading, type HeadingLog, type Window } from '../channels/log';
import type { SteppedLog } from './passages';
import type { RandomWalk } from './randomWalk';

/** How much a drift wanders by itself, beyond what the white noise of its readings explains. */
export interface Wander {
  /** Variance of the drift's own change, (rad/s)², as far as this log lets suspect. */
  suspectedVariance: number;
  /** Standard deviation of what is proved; 0 where nothing is. */
  shownRadPerS: number;
}

/** Averaging times from which wander is told, as parts of the log: the longest that repeat often enough. */
const LONG_PARTS = [12, 8, 5];
/** The shortest averaging time for the white part: as part of the log, and in seconds. */
const SHORTEST_PART = 80;
const SHORTEST_S = 1;
const STEP_OF_TIMES = 1.5;
/** Readings per averaging time: more tell nothing about slow changes. */
const PER_TAU = 25;
/** What is proved, is proved at 1 %. */
const PROVED = 0.99;

interface AllanPart {
  tauS: number;
  variance: number;
  /** What rounding to the reading's step adds. */
  rounding: number;
  degreesOfFreedom: number;
}

/**
 * Overlapping Allan variance of the drift at one averaging time, over untouched windows, from headings.
 *
 * Source: IEEE Std 952-2020, annex C.
 * @returns nothing where no window is twice the averaging time long
 */
function allanPart(
  log: HeadingLog,
  windows: readonly Window[],
  tauS: number,
): Omit<AllanPart, 'rounding'>[] {
  let sum = 0;
  let terms = 0;
  let stretchS = 0;
  for (const window of windows) {
    const heading = evenHeading(log, window, tauS / PER_TAU);
    if (heading.length <= 2 * PER_TAU) continue;
    for (let i = 0; i + 2 * PER_TAU < heading.length; i += 1) {
      const second =
        (heading[i + 2 * PER_TAU] ?? 0) - 2 * (heading[i + PER_TAU] ?? 0) + (heading[i] ?? 0);
      sum += second * second;
    }
    terms += heading.length - 2 * PER_TAU;
    stretchS += (heading.length * tauS) / PER_TAU;
  }
  if (terms === 0) return [];
  return [
    {
      tauS,
      variance: sum / (2 * tauS * tauS * terms),
      // Overlapping averages: about 1.5 independent squares per averaging time (Riley, NIST SP 1065, 5.4.1).
      degreesOfFreedom: Math.max(1, (1.5 * stretchS) / tauS - 2),
    },
  ];
}

/**
 * What rounding may add to the Allan variance: three readings make one second difference, with weights 1, 2 and 1.
 * A ramp's rounding is not white; where the walk does not blur it, it reaches twice as much.
 */
function roundingOfAllan(tauS: number, walkRadPerSqrtS: number, quantumRad: number): number {
  if (quantumRad === 0) return 0;
  const blurred = (walkRadPerSqrtS * Math.sqrt(tauS)) / quantumRad;
  const white = quantumRad ** 2 / (4 * tauS * tauS);
  return white * (1 + Math.exp(-2 * (Math.PI * blurred) ** 2));
}

/**
 * N² and the variance of a drift that wanders alike at all times (1/f), N²/τ + W, from Allan variances:
 * least squares weighted by how well each is known, neither below 0.
 */
function whiteAndWander(parts: readonly AllanPart[]): { white: number; wander: number } {
  const sum = (of: (part: AllanPart, weight: number, y: number) => number) =>
    parts.reduce((total, part) => {
      const weight = part.degreesOfFreedom / Math.max(part.variance ** 2, 1e-40);
      return total + of(part, weight, Math.max(0, part.variance - part.rounding));
    }, 0);
  const xx = sum(({ tauS }, w) => w / tauS ** 2);
  const x = sum(({ tauS }, w) => w / tauS);
  const all = sum((_, w) => w);
  const xy = sum(({ tauS }, w, y) => (w * y) / tauS);
  const y = sum((_, w, value) => w * value);
  const determinant = xx * all - x * x;
  const white = determinant > 0 ? (xy * all - y * x) / determinant : 0;
  const wander = determinant > 0 ? (xx * y - x * xy) / determinant : 0;
  if (white <= 0) return { white: 0, wander: all > 0 ? y / all : 0 };
  return wander <= 0 ? { white: xx > 0 ? xy / xx : 0, wander: 0 } : { white, wander };
}

function averagingTimes(lengthS: number): number[] {
  const times: number[] = [];
  const least = Math.max(SHORTEST_S, lengthS / SHORTEST_PART);
  for (let tauS = lengthS / 5; tauS >= least; tauS /= STEP_OF_TIMES) times.push(tauS);
  return times;
}

/**
 * How much the drift of a sensor at rest wanders (bias instability): the excess of the Allan variance
 * over the white part N²/τ, and over what rounding feigns, at the longest averaging times of the log.
 *
 * What is suspected is the largest excess, by chance or not, over the walk as estimated or as the Allan
 * variances themselves have it: it widens what is said about the next run. What is shown has to be more
 * than white noise makes in one of a hundred logs.
 *
 * @param walk as the log shows it, or its bound
 */
export function findWander({ log, windows, quantumRad }: SteppedLog, walk: RandomWalk): Wander {
  const lengthS = windows.reduce(
    (sum, { from, to }) => sum + (log.tS[to - 1] ?? 0) - (log.tS[from] ?? 0),
    0,
  );
  const at = (tauS: number) =>
    allanPart(log, windows, tauS).map((part) => ({
      ...part,
      rounding: roundingOfAllan(tauS, walk.radPerSqrtS, quantumRad),
    }));
  const { white, wander } = whiteAndWander(averagingTimes(lengthS).flatMap(at));
  let suspectedVariance = wander;
  let shown = 0;
  for (const { tauS, variance, rounding, degreesOfFreedom } of LONG_PARTS.flatMap((part) =>
    at(lengthS / part),
  )) {
    const noise = walk.radPerSqrtS ** 2 / tauS + rounding;
    const leastNoise = Math.min(walk.radPerSqrtS ** 2, white) / tauS + rounding;
    suspectedVariance = Math.max(suspectedVariance, variance - leastNoise);
    const byChance = chiSquareQuantile(PROVED, degreesOfFreedom) / degreesOfFreedom;
    if (variance > noise * byChance) shown = Math.max(shown, variance - noise);
  }
  return { suspectedVariance, shownRadPerS: Math.sqrt(shown) };
}
