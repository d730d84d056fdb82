import type { HeadingLog, Window } from '../channels/log';
import { rootBetween } from '../stats/root';
import { passagesIn } from './passages';
import { walkBehindSteps } from './roundedWalk';

/** Angle random walk, and how well it is known. */
export interface RandomWalk {
  /** Strength N: the heading wanders by N·√t. */
  radPerSqrtS: number;
  /** Degrees of freedom of N². */
  degreesOfFreedom: number;
}

/**
 * Mean of f(1 − f), f the fractional part of a normal variable: what rounding adds, in squared steps,
 * to the square of a difference of two readings when its phase is random.
 *
 * From the Fourier series of f(1 − f); the k-th term is the characteristic function at 2πk.
 */
export function roundingExcess(mean: number, sd: number): number {
  let sum = 0;
  for (let k = 1; k <= 12; k += 1) {
    const damping = Math.exp(-2 * (Math.PI * k * sd) ** 2);
    if (damping < 1e-9) break;
    sum += (Math.cos(2 * Math.PI * k * mean) * damping) / (k * k);
  }
  return Math.max(0, 1 / 6 - sum / Math.PI ** 2);
}

/** The standard deviation (in steps) of a change whose rounded square is on average `square`. */
export function squareWithoutRounding(square: number, meanChange: number): number {
  const beyond = (sd: number) => sd * sd + roundingExcess(meanChange, sd) - square;
  if (Number.isNaN(square)) return Number.NaN;
  // Rounding alone may explain it all.
  return beyond(0) >= 0 ? 0 : rootBetween(beyond, 0, Math.sqrt(square));
}

/** Mean square of the change over a lag beyond the drift, over all pairs within the windows. */
function meanSquareChange(
  { tS, headingRad }: HeadingLog,
  windows: readonly Window[],
  driftRadPerS: number,
  lagS: number,
) {
  let sum = 0;
  let pairs = 0;
  let stretchS = 0;
  for (const { from, to } of windows) {
    let j = from;
    let any = false;
    for (let i = from; i < to; i += 1) {
      while (j < to && (tS[j] ?? 0) < (tS[i] ?? 0) + lagS) j += 1;
      if (j >= to) break;
      any = true;
      const span = (tS[j] ?? 0) - (tS[i] ?? 0);
      // A pause in the log makes a longer span than asked for.
      const change = (headingRad[j] ?? 0) - (headingRad[i] ?? 0) - driftRadPerS * span;
      sum += (change * change * lagS) / span;
      pairs += 1;
    }
    if (any) stretchS += (tS[to - 1] ?? 0) - (tS[from] ?? 0);
  }
  return pairs === 0 ? null : { square: sum / pairs, stretchS };
}

/**
 * Strength N from the times at which a drift first carries the heading over each step: a walk with
 * drift takes an inverse Gaussian time from one level to the next, of shape quantum²/N², and
 * λ·Σ(1/Δt − 1/mean) follows chi-square with one degree less than there are times.
 *
 * Source: Folks and Chhikara, J. R. Statist. Soc. B 40 (1978) 263–289, section 5.
 * @returns null where the drift passes fewer than five steps
 */
function walkFromPassages(
  log: HeadingLog,
  windows: readonly Window[],
  driftRadPerS: number,
  quantumRad: number,
): RandomWalk | null {
  const sign = Math.sign(driftRadPerS);
  // A reading that jumps several steps passed them all at about this moment: no time is known.
  const times = windows.flatMap((window) => {
    const passages = passagesIn(log, window, sign, quantumRad);
    return passages
      .slice(1)
      .flatMap(({ tS, steps }, i) => (steps === 1 ? [tS - (passages[i]?.tS ?? tS)] : []));
  });
  if (times.length < 4) return null;
  const mean = times.reduce((sum, time) => sum + time, 0) / times.length;
  const shape = times.reduce((sum, time) => sum + 1 / time - 1 / mean, 0);
  const degreesOfFreedom = times.length - 1;
  return {
    radPerSqrtS: quantumRad * Math.sqrt(Math.max(0, shape) / degreesOfFreedom),
    degreesOfFreedom,
  };
}

/**
 * Strength N of the angle random walk from a heading at rest.
 *
 * From the changes over a lag: their mean square beyond the drift is N²·lag, plus what rounding to
 * the quantum adds. The shortest lag (from one second) counts at which the walk makes 0.7 steps. A
 * walk too weak for that shows in the times at which the drift passes from step to step. Where it
 * passes too few, it is what the steps of the longest window allow: a bound, not an estimate.
 */
export function angleRandomWalk(
  log: HeadingLog,
  windows: readonly Window[],
  driftRadPerS: number,
  quantumRad: number,
): RandomWalk {
  const lengths = windows.map(({ from, to }) => (log.tS[to - 1] ?? 0) - (log.tS[from] ?? 0));
  const longestS = Math.max(0, ...lengths);
  for (let lagS = Math.min(1, longestS / 10); lagS <= longestS / 4; lagS *= Math.SQRT2) {
    const found = meanSquareChange(log, windows, driftRadPerS, lagS);
    if (found === null) break;
    const sd =
      quantumRad > 0
        ? quantumRad *
          squareWithoutRounding(found.square / quantumRad ** 2, (driftRadPerS * lagS) / quantumRad)
        : Math.sqrt(found.square);
    // Overlapping pairs: about 1.5 independent squares per lag (Riley, NIST SP 1065, 2008, 5.4.1).
    const degreesOfFreedom = Math.max(1, (1.5 * found.stretchS) / lagS - 2);
    if (sd >= 0.7 * quantumRad) return { radPerSqrtS: sd / Math.sqrt(lagS), degreesOfFreedom };
  }
  const passed = walkFromPassages(log, windows, driftRadPerS, quantumRad);
  if (passed !== null) return passed;
  const longest = windows[lengths.indexOf(longestS)];
  const radPerSqrtS =
    longest === undefined || quantumRad === 0
      ? 0
      : walkBehindSteps(log, longest, driftRadPerS, quantumRad);
  return { radPerSqrtS, degreesOfFreedom: Infinity };
}
