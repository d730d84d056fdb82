import { allanOfHeading, allanDeviation, LEAST_ALLAN_S, type AllanResult } from '../allan';
import { knownFrom, type EarlierCheck, type KnownSensor } from './earlierChecks';
import { fitDrift } from '../driftFit';
import {
  cleanWindows,
  integrateRate,
  medianPeriod,
  type HeadingLog,
  type Span,
} from '../../channels/log';
import { quantumOf } from '../quantum';
import { fitRateDrift } from '../rateDrift';
import { STILL_SETTINGS, type StillSettings } from './stillDefaults';
import { looksDriven, type MotorLog } from './stillness';
import type { Interval } from '../interval';
import type { RandomWalk } from '../randomWalk';
import { sparseStill } from './sparseStill';
import { withoutSteps } from '../passages';
import { judgeStill, type StillVerdict } from './stillVerdict';
import { findTouches } from '../touches';
import { findWander, type Wander } from '../wander';
import { findWarmUp, settledAfter, withoutFading, type WarmUp } from './warmUp';

/**
 * Readings of a robot that lies still: headings (unwrapped) or rates, counter-clockwise positive; and
 * its motors' angles, where the log has them.
 */
export type StillLog = { tS: Float64Array; motors?: MotorLog } & (
  { kind: 'heading'; headingRad: Float64Array } | { kind: 'rate'; rateRadPerS: Float64Array }
);

export interface StillCheck {
  /** Which kind of readings it rests on. */
  kind: StillLog['kind'];
  /** d(reading − truth)/dt, with its 95 % interval. */
  driftRadPerS: number;
  low95: number;
  high95: number;
  /** Mean drift during the next run, 95 %: with what the drift itself may change until then. */
  nextRunLow95: number;
  nextRunHigh95: number;
  cleanS: number;
  touched: Span[];
  /** Signed: what the drift has done to the heading when the run ends. */
  headingErrorAtEndRad: number;
  verdict: StillVerdict;
  /** How long the sensor had been on when the log began; absent: not known. */
  sincePowerUpS?: number;
  /** After which time it is to be made again, where it was made too soon after power-up. */
  againInS?: number;
  /** Length of log that would tell, where the verdict is open; null where no longer one would. */
  neededS: number | null;
  /** Of two readings only: what they cannot tell is guessed. */
  typed?: true;
  /** How many earlier checks of the sensor tell how far it wanders; none: this log alone does. */
  earlierChecks?: number;
  /** Step of the reading (rad, or rad/s for rates); 0 for none seen. */
  quantum: number;
  /** Angle random walk, rad/√s; a bound where a coarse reading hides it. */
  randomWalkRadPerSqrtS: number;
  /** Whether that is a bound only; results of an earlier Corvat do not say. */
  isWalkBound?: boolean;
  /** What this log alone tells of it; absent: no more than a bound. */
  ownWalk?: RandomWalk;
  /** How much the drift is proved to wander (one standard deviation); 0: none shows in this log. */
  wanderRadPerS: number;
  /** Sideways error per metre driven at the heading error of the end. */
  sidewaysPerM: number;
  warmUp: WarmUp | null;
  /** Allan deviation, from five minutes on; null for shorter logs. */
  allan: AllanResult | null;
  /** The fitted line in each untouched window, for headings as read or integrated. */
  fit: { fromS: number; toS: number; startRad: number }[];
}

const LEAST_WINDOW_S = 2;
/**
 * Variance of the change between a log's drift and that of a run after it, in Allan variances of a drift
 * that wanders as 1/f: tried by simulation, and about half of one more for each octave that the run is
 * longer than the log; taken with a margin (docs/methods.md).
 */
const CHANGE_UNTIL_NEXT_RUN = 2.8;
const CHANGE_PER_OCTAVE = 1;

const lengthOf = (tS: Float64Array, windows: readonly { from: number; to: number }[]): number =>
  windows.reduce((sum, { from, to }) => sum + (tS[to - 1] ?? 0) - (tS[from] ?? 0), 0);

function drift(log: StillLog, heading: HeadingLog, known: KnownSensor) {
  const quantum = quantumOf(
    log.kind === 'heading' ? log.headingRad : log.rateRadPerS,
    known.quantum,
  );
  const touched =
    log.kind === 'heading' ? findTouches(heading, quantum) : findTouches(heading, 0, quantum);
  const windows = cleanWindows(log.tS, touched, LEAST_WINDOW_S);
  const line = fitDrift(heading, windows, log.kind === 'heading' ? quantum : 0, known.walk);
  const found =
    log.kind === 'heading'
      ? { ...line, hiddenRadPerS: 0 }
      : fitRateDrift(log.tS, log.rateRadPerS, windows, quantum, known.walk);
  return { quantum, touched, windows, found, line };
}

/**
 * Mean drift during the next run: the mean's variance plus that of the drift's own change until then.
 *
 * @param runsPerLog length of the run over that of the log
 */
function nextRun(
  { low95, high95 }: Interval,
  { suspectedVariance }: Wander,
  runsPerLog: number,
): Interval {
  const middle = (low95 + high95) / 2;
  const times = CHANGE_UNTIL_NEXT_RUN + CHANGE_PER_OCTAVE * Math.log2(Math.max(1, runsPerLog));
  const change = 1.96 * Math.sqrt(times * suspectedVariance);
  const half = Math.hypot((high95 - low95) / 2, change);
  return { low95: middle - half, high95: middle + half };
}

/** Before wander: by the fitted course while the drift is proved to change, by both where that is only hinted. */
function courseOrMean(warmUp: WarmUp, mean: Interval): Interval {
  const course = { low95: warmUp.nextRunLow95, high95: warmUp.nextRunHigh95 };
  if (warmUp.changing) return course;
  if (!warmUp.hinted) return mean;
  return {
    low95: Math.min(course.low95, mean.low95),
    high95: Math.max(course.high95, mean.high95),
  };
}

/** The Allan deviation of a log that is long enough and that nobody touched. */
function allanOf(log: StillLog, heading: HeadingLog, quantum: number, touched: readonly Span[]) {
  const { tS } = log;
  if (touched.length > 0 || (tS.at(-1) ?? 0) - (tS[0] ?? 0) < LEAST_ALLAN_S) return null;
  return log.kind === 'rate'
    ? allanDeviation(log.rateRadPerS, medianPeriod(tS))
    : allanOfHeading(heading, quantum);
}

/**
 * Still check: how fast the heading of a robot at rest drifts, and what that does to a run.
 *
 * Touched stretches are found and left out. Headings: least squares with a common slope; rates: the
 * mean with block errors. What is said of the next run is a prediction: by the fitted course while the
 * drift is proved to be changing (a sensor that warms up), else by the mean and the wander.
 * @param runDurationS how long a run lasts
 * @param toleranceRad heading error that a run can bear
 * @param earlier what earlier checks of this sensor showed of it
 */
export function stillCheck(
  log: StillLog,
  runDurationS: number,
  toleranceRad: number,
  settings: StillSettings = STILL_SETTINGS,
  earlier?: readonly EarlierCheck[],
): StillCheck {
  const known = knownFrom(earlier ?? [], log.kind);
  const found = fittedCheck(log, runDurationS, toleranceRad, settings, known);
  const isTold = [found.low95, found.high95, found.nextRunLow95, found.nextRunHigh95].every(
    Number.isFinite,
  );
  return isTold ? found : (sparseStill(log, runDurationS, toleranceRad, settings) ?? found);
}

function fittedCheck(
  log: StillLog,
  runDurationS: number,
  toleranceRad: number,
  settings: StillSettings,
  known: KnownSensor,
): StillCheck {
  const heading =
    log.kind === 'heading'
      ? { tS: log.tS, headingRad: log.headingRad }
      : integrateRate(log.tS, log.rateRadPerS);
  const { quantum, touched, windows, found, line } = drift(log, heading, known);
  const cleanS = lengthOf(log.tS, windows);
  const quantumRad = log.kind === 'heading' ? quantum : 0;
  const { driftRadPerS, low95, high95, walk, ownWalk, hiddenRadPerS } = found;
  const stepless = withoutSteps({ log: heading, windows, quantumRad }, driftRadPerS);
  const warming = findWarmUp(
    stepless,
    { fromS: log.tS[0] ?? 0, toS: log.tS.at(-1) ?? 0 },
    runDurationS,
  );
  const changing = warming?.warmUp.changing === true;
  const hinted = warming?.warmUp.hinted === true;
  const course = changing ? warming.course : null;
  const settled = course === null ? stepless.log : withoutFading(stepless.log, course);
  const seen = findWander({ ...stepless, log: settled }, line.walk);
  // What three checks did not show is no longer suspected; what this log proves counts all the same.
  const wander = {
    ...seen,
    suspectedVariance: Math.max(
      known.wanderVariance ?? seen.suspectedVariance,
      seen.shownRadPerS ** 2,
    ),
  };
  const mean = { low95, high95 };
  const next = nextRun(
    warming === null ? mean : courseOrMean(warming.warmUp, mean),
    wander,
    runDurationS / Math.max(cleanS, 1),
  );
  const headingErrorAtEndRad = driftRadPerS * runDurationS;
  return {
    kind: log.kind,
    driftRadPerS,
    low95,
    high95,
    nextRunLow95: next.low95,
    nextRunHigh95: next.high95,
    cleanS,
    touched,
    headingErrorAtEndRad,
    ...judgeStill(
      {
        driftRadPerS,
        ...mean,
        cleanS,
        walk,
        quantumRad,
        hiddenRadPerS,
        wanderRadPerS: wander.shownRadPerS,
        nextRun: next,
        changing,
        hinted,
        settledS: course === null ? 0 : settledAfter(course, toleranceRad, cleanS),
        driven: looksDriven(
          heading,
          { touched, driftRadPerS, walkRadPerSqrtS: walk.radPerSqrtS },
          log.motors,
        ),
      },
      runDurationS,
      toleranceRad,
      settings,
    ),
    quantum,
    randomWalkRadPerSqrtS: walk.radPerSqrtS,
    isWalkBound: walk.degreesOfFreedom === Infinity,
    ...(Number.isFinite(ownWalk.degreesOfFreedom) && { ownWalk }),
    wanderRadPerS: wander.shownRadPerS,
    ...(known.wanderVariance !== null && { earlierChecks: known.checks }),
    sidewaysPerM: Math.sin(headingErrorAtEndRad),
    warmUp: warming === null ? null : warming.warmUp,
    allan: allanOf(log, heading, quantum, touched),
    fit: windows.map(({ from, to }, i) => ({
      fromS: log.tS[from] ?? 0,
      toS: log.tS[to - 1] ?? 0,
      startRad: line.startsRad[i] ?? 0,
    })),
  };
}
