import { student975 } from '../stats/student';
import { withKnown } from './still/earlierChecks';
import type { HeadingLog } from '../channels/log';
import { angleRandomWalk, type RandomWalk } from './randomWalk';

/** A drift with its 95 % interval. */
export interface DriftFit {
  driftRadPerS: number;
  low95: number;
  high95: number;
  /** With what was known of it before; and as this log alone tells. */
  walk: RandomWalk;
  ownWalk: RandomWalk;
  /** Heading at the start of each window by the fitted line. */
  startsRad: number[];
}

type Windows = readonly { from: number; to: number }[];

/** Least squares with one slope and an intercept per window; and Var(slope)/N² for a random walk. */
function fitSlope({ tS, headingRad }: HeadingLog, windows: Windows) {
  const centres = windows.map(({ from, to }) => {
    let t = 0;
    let y = 0;
    for (let i = from; i < to; i += 1) {
      t += tS[i] ?? 0;
      y += headingRad[i] ?? 0;
    }
    return { t: t / (to - from), y: y / (to - from) };
  });
  let sxx = 0;
  let sxy = 0;
  windows.forEach(({ from, to }, w) => {
    const { t, y } = centres[w] ?? { t: 0, y: 0 };
    for (let i = from; i < to; i += 1) {
      const dt = (tS[i] ?? 0) - t;
      sxx += dt * dt;
      sxy += dt * ((headingRad[i] ?? 0) - y);
    }
  });
  // A step of the walk at time t moves all later readings: the slope by the sum of their weights.
  let perWalk2 = 0;
  windows.forEach(({ from, to }, w) => {
    let later = 0;
    for (let i = to - 1; i > from; i -= 1) {
      later += ((tS[i] ?? 0) - (centres[w]?.t ?? 0)) / sxx;
      perWalk2 += later * later * ((tS[i] ?? 0) - (tS[i - 1] ?? 0));
    }
  });
  const slope = sxx > 0 ? sxy / sxx : 0;
  const startsRad = windows.map(({ from }, w) => {
    const { t, y } = centres[w] ?? { t: 0, y: 0 };
    return y + slope * ((tS[from] ?? 0) - t);
  });
  return { slope, perWalk2, startsRad };
}

/**
 * Standard error of the slope by rounding, in steps per length of the log, so that 1.96 of it hold 95 %: 0.6 steps
 * when fewer than one is passed, then falling as one over the steps passed; a walk blurs it, and also makes each
 * passage uncertain.
 *
 * Measured by simulation of rounded ramps with random phase, with and without a random walk
 * (docs/methods.md has the table).
 */
export function roundingErrorOfSlope(stepsByDrift: number, stepsByWalk: number): number {
  const few = 0.6 / (1 + 1.4 * stepsByWalk);
  return Math.min(few, (0.44 + 0.6 * stepsByWalk) / Math.max(stepsByDrift, 1e-9));
}

/** Student's quantile, or the normal one where the walk is only bounded. */
const quantile975 = ({ degreesOfFreedom }: RandomWalk): number =>
  degreesOfFreedom === Infinity ? 1.96 : student975(degreesOfFreedom);

/** The interval's half width for logs of a given length, from what is known of the sensor. */
export function halfWidth(
  effectiveS: number,
  driftRadPerS: number,
  walk: RandomWalk,
  quantumRad: number,
): number {
  const walkError = walk.radPerSqrtS * Math.sqrt(1.2 / effectiveS);
  if (quantumRad === 0) return quantile975(walk) * walkError;
  const byDrift = (Math.abs(driftRadPerS) * effectiveS) / quantumRad;
  const byWalk = (walk.radPerSqrtS * Math.sqrt(effectiveS)) / quantumRad;
  const rounding = (roundingErrorOfSlope(byDrift, byWalk) * quantumRad) / effectiveS;
  return Math.hypot(quantile975(walk) * walkError, 1.96 * rounding);
}

/**
 * Drift of a heading that should stand still, over windows in which nobody touched the robot.
 *
 * Integrated white noise makes the heading a random walk of strength N, for which one window of T
 * seconds gives Var(slope) = (6/5)·N²/T; the variance is computed from the real time stamps. N is
 * estimated from the same log; where its few steps do not show it, the bound is about ±quantum/T.
 * @param known the walk as earlier checks of this sensor showed it
 * Source: least squares with correlated errors; the variance by direct integration of the weights.
 */
export function fitDrift(
  log: HeadingLog,
  windows: Windows,
  quantumRad: number,
  known: RandomWalk | null = null,
): DriftFit {
  const { slope, perWalk2, startsRad } = fitSlope(log, windows);
  const ownWalk = angleRandomWalk(log, windows, slope, quantumRad);
  const walk = withKnown(ownWalk, known);
  const half = halfWidth(1.2 / perWalk2, slope, walk, quantumRad);
  const interval = { low95: slope - half, high95: slope + half };
  return { driftRadPerS: slope, ...interval, walk, ownWalk, startsRad };
}
