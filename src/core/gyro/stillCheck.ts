import { fitDrift } from './driftFit';
import { cleanWindows, integrateRate, type HeadingLog, type Span } from './log';
import { quantumOf } from './quantum';
import { fitRateDrift } from './rateDrift';
import { STILL_SETTINGS, type StillSettings } from './stillDefaults';
import { judgeStill, type StillVerdict } from './stillVerdict';
import { findTouches } from './touches';
import { findWarmUp, type WarmUp } from './warmUp';

/** Readings of a robot that lies still: headings (unwrapped) or rates, counter-clockwise positive. */
export type StillLog =
  | { kind: 'heading'; tS: Float64Array; headingRad: Float64Array }
  | { kind: 'rate'; tS: Float64Array; rateRadPerS: Float64Array };

export interface StillCheck {
  /** d(reading − truth)/dt, with its 95 % interval. */
  driftRadPerS: number;
  low95: number;
  high95: number;
  cleanS: number;
  touched: Span[];
  /** Signed: what the drift has done to the heading when the run ends. */
  headingErrorAtEndRad: number;
  verdict: StillVerdict;
  /** Length of log that would tell, where the verdict is open. */
  neededS: number | null;
  /** Step of the reading (rad, or rad/s for rates); 0 for none seen. */
  quantum: number;
  /** Angle random walk, rad/√s; a bound where a coarse reading hides it. */
  randomWalkRadPerSqrtS: number;
  /** Sideways error per metre driven at the heading error of the end. */
  sidewaysPerM: number;
  warmUp: WarmUp | null;
  /** The fitted line in each untouched window, for headings as read or integrated. */
  fit: { fromS: number; toS: number; startRad: number }[];
}

const LEAST_WINDOW_S = 2;

const lengthOf = (tS: Float64Array, windows: readonly { from: number; to: number }[]): number =>
  windows.reduce((sum, { from, to }) => sum + (tS[to - 1] ?? 0) - (tS[from] ?? 0), 0);

function drift(log: StillLog, heading: HeadingLog) {
  const quantum = quantumOf(log.kind === 'heading' ? log.headingRad : log.rateRadPerS);
  const touched =
    log.kind === 'heading' ? findTouches(heading, quantum) : findTouches(heading, 0, quantum);
  const windows = cleanWindows(log.tS, touched, LEAST_WINDOW_S);
  const line = fitDrift(heading, windows, log.kind === 'heading' ? quantum : 0);
  const found =
    log.kind === 'heading' ? line : fitRateDrift(log.tS, log.rateRadPerS, windows, quantum);
  return { quantum, touched, windows, found, startsRad: line.startsRad };
}

/**
 * Still check: how fast the heading of a robot at rest drifts, and what that does to a run.
 *
 * Touched stretches are found and left out. Headings: least squares with a common slope; rates: the
 * mean with block errors.
 * @param runDurationS how long a run lasts
 * @param toleranceRad heading error that a run can bear
 */
export function stillCheck(
  log: StillLog,
  runDurationS: number,
  toleranceRad: number,
  settings: StillSettings = STILL_SETTINGS,
): StillCheck {
  const heading =
    log.kind === 'heading'
      ? { tS: log.tS, headingRad: log.headingRad }
      : integrateRate(log.tS, log.rateRadPerS);
  const { quantum, touched, windows, found, startsRad } = drift(log, heading);
  const cleanS = lengthOf(log.tS, windows);
  const quantumRad = log.kind === 'heading' ? quantum : 0;
  const { driftRadPerS, low95, high95, walk } = found;
  const headingErrorAtEndRad = driftRadPerS * runDurationS;
  return {
    driftRadPerS,
    low95,
    high95,
    cleanS,
    touched,
    headingErrorAtEndRad,
    ...judgeStill(
      { driftRadPerS, low95, high95, cleanS, walk, quantumRad },
      runDurationS,
      toleranceRad,
      settings,
    ),
    quantum,
    randomWalkRadPerSqrtS: walk.radPerSqrtS,
    sidewaysPerM: Math.sin(headingErrorAtEndRad),
    warmUp: findWarmUp(heading, windows, quantumRad),
    fit: windows.map(({ from, to }, i) => ({
      fromS: log.tS[from] ?? 0,
      toS: log.tS[to - 1] ?? 0,
      startRad: startsRad[i] ?? 0,
    })),
  };
}
