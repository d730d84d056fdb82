import type { Robot } from '../robot/robot';
import { median } from '../stats/median';
import { headingIsBuiltIn } from '../devices/ofRobot';
import { wilson, type SuccessRate } from '../stats/wilson';
import { clock, counted, degrees, percent } from '../text/quantities';
import { driftText } from './driftText';
import { REZERO_FACTS, type StrategyFacts } from './rezeroFacts';
import type { RezeroStrategy } from '../robot/rezeroStrategies';
import type { StillVerdict } from './still/stillVerdict';

/** A check that followed one of the strategies. */
export interface StrategyTrial {
  school: RezeroStrategy;
  verdict: StillVerdict;
  driftRadPerS: number;
}

export interface StrategyRecord {
  facts: StrategyFacts;
  /** It takes so long here, s, as somebody said; else as long as it usually does. */
  isOwnTime: boolean;
  /** Null: never tried and checked. */
  success: SuccessRate | null;
  worked: number;
  tried: number;
  /** Median size of the drift after it; null: never checked. */
  leftRadPerS: number | null;
}

/** A check that could not tell. */
const isOpen = (verdict: StillVerdict): boolean =>
  verdict === 'measure-longer' ||
  verdict === 'check-again' ||
  verdict === 'not-enough-still-time' ||
  verdict === 'not-still';

/** A check that proves a run drivable: what a strategy is for. */
export const didWork = (verdict: StillVerdict): boolean =>
  verdict === 'steady' || verdict === 'correctable';

/**
 * What each strategy that this robot can do has come to in this team's hands. Checks that could not tell are not counted.
 *
 * @param robot says what its kit can do, how long it takes, and whether its sensor has a cable to unplug
 */
export function strategyRecords(
  trials: readonly StrategyTrial[],
  robot: Pick<Robot, 'units' | 'build'>,
): StrategyRecord[] {
  return REZERO_FACTS.filter((facts) => canDo(facts, robot)).map((usual) => {
    const ownS = robot.build.driftCures[usual.school]?.takesS ?? null;
    const own = trials.filter(({ school, verdict }) => school === usual.school && !isOpen(verdict));
    const worked = own.filter(({ verdict }) => didWork(verdict)).length;
    return {
      facts: { ...usual, takesS: ownS ?? usual.takesS },
      isOwnTime: ownS !== null,
      worked,
      tried: own.length,
      success: wilson(worked, own.length),
      leftRadPerS:
        own.length === 0 ? null : median(own.map(({ driftRadPerS }) => Math.abs(driftRadPerS))),
    };
  });
}

/** The strategies that somebody has said this kit cannot do. */
export const notPossible = ({ build }: Pick<Robot, 'build'>): readonly StrategyFacts[] =>
  REZERO_FACTS.filter(({ school }) => build.driftCures[school]?.isPossible === false);

const canDo = ({ school, needsCable }: StrategyFacts, robot: Pick<Robot, 'units' | 'build'>) =>
  robot.build.driftCures[school]?.isPossible !== false &&
  !(needsCable === true && headingIsBuiltIn(robot));

/**
 * Heading error (one standard deviation) after t seconds when the drift was estimated in k still
 * seconds at the start: N·√(t²/k + t).
 *
 * Source: independent random walks during the estimate and the run.
 */
export const leftAfterEstimate = (walkRadPerSqrtS: number, k: number, t: number): number =>
  walkRadPerSqrtS * Math.sqrt((t * t) / k + t);

/** However little the heading wanders: a reading takes its time to settle. */
const LEAST_STILL_TIME_S = 2;

/**
 * The shortest still time before a run that keeps the heading within a tolerance (two standard
 * deviations), in whole seconds: the one figure for sentences and tables.
 *
 * @returns null when no still time can: the walk alone is too much
 */
export function stillTimeNeeded(
  walkRadPerSqrtS: number,
  runDurationS: number,
  toleranceRad: number,
): number | null {
  const variance = (toleranceRad / (2 * walkRadPerSqrtS)) ** 2 - runDurationS;
  if (variance <= 0) return null;
  return Math.max(LEAST_STILL_TIME_S, Math.ceil((runDurationS * runDurationS) / variance - 1e-9));
}

export interface Recommendation {
  /** Null: first something has to be found out. */
  school: RezeroStrategy | null;
  reason: string;
}

interface Situation {
  verdict: StillVerdict;
  driftRadPerS: number;
  walkRadPerSqrtS: number;
  runDurationS: number;
  /** How far off drift may leave the heading: its share of what a run can bear. */
  allowedRad: number;
  /** What a sensor that started well shows at most. */
  healthyRadPerS: number;
  /** What there is before the next run, s. */
  timeS: number;
}

/** A strategy is trusted less the less it was tried: its chance by Laplace's rule. */
const chanceOf = ({ worked, tried }: StrategyRecord): number => (worked + 1) / (tried + 2);

/** Why the sensor has to be started anew rather than its drift subtracted. */
function whyAnew({ driftRadPerS, healthyRadPerS }: Situation, stillS: number | null): string {
  if (Math.abs(driftRadPerS) > healthyRadPerS) {
    return `A drift of ${driftText(driftRadPerS)} is more than a sensor that started well shows`;
  }
  return stillS === null
    ? 'The heading wanders so much by itself that no standing still before a run would be enough'
    : `Standing still for ${clock(stillS)} before each run is longer than there is time for`;
}

/**
 * Which strategy to try now: a correctable drift is subtracted; a large one needs the sensor started
 * anew, by what has worked best here among what the time allows; one that wanders, or without time,
 * is re-anchored on the way.
 *
 * @returns null when there is nothing to get rid of
 */
export function recommendStrategy(
  situation: Situation,
  records: readonly StrategyRecord[],
): Recommendation | null {
  const { verdict, driftRadPerS, walkRadPerSqrtS, runDurationS, allowedRad, timeS } = situation;
  if (verdict === 'steady') return null;
  if (verdict === 're-anchor') {
    return {
      school: 're-anchor',
      reason:
        'The heading wanders by itself by more than a run can bear: neither a longer check nor subtracting can help.',
    };
  }
  if (isOpen(verdict)) {
    return {
      school: null,
      reason:
        'The last check could not tell: leave the sensor as it is, and let the robot lie still for longer first.',
    };
  }
  const stillS = stillTimeNeeded(walkRadPerSqrtS, runDurationS, allowedRad);
  if (verdict === 'correctable' && stillS !== null && stillS <= timeS) {
    return {
      school: 'estimate at start',
      reason: `The heading creeps evenly, by ${driftText(driftRadPerS)}: standing still for ${clock(stillS)} before each run measures it well enough to stay within ${degrees(allowedRad)}.`,
    };
  }
  const why = whyAnew(situation, stillS);
  const anew = records
    .filter(({ facts }) => ['restart', 'reconnect', 're-initialise'].includes(facts.school))
    .filter(({ facts }) => (facts.takesS ?? 0) <= timeS)
    .toSorted((a, b) => chanceOf(b) - chanceOf(a))[0];
  if (anew !== undefined) {
    const so =
      anew.success === null
        ? 'nothing is known yet of how well it works here'
        : `it worked ${counted(anew.worked, 'time')} of ${anew.tried} here (${percent(anew.success.low95)} to ${percent(anew.success.high95)})`;
    return {
      school: anew.facts.school,
      reason: `${why}; this takes ${clock(anew.facts.takesS ?? 0)}, and ${so}.`,
    };
  }
  return {
    school: 're-anchor',
    reason: `${why}, and there is no time to start it anew: square up on the way, and only the drift since then counts.`,
  };
}

interface CheckedDrift {
  verdict: StillVerdict;
  driftRadPerS: number;
  low95: number;
  high95: number;
}

/** Whether a strategy helped: the drift before and after, each with its interval. */
export function proveRezero(before: CheckedDrift, after: CheckedDrift): string {
  const change = `Before: ${driftText(before.driftRadPerS)}. After: ${driftText(after.driftRadPerS)}.`;
  const apart = before.low95 > after.high95 || before.high95 < after.low95;
  const smaller = Math.abs(after.driftRadPerS) < Math.abs(before.driftRadPerS);
  if (after.verdict === 'measure-longer' && apart && smaller) {
    return `${change} It helped. Whether it is enough, a longer check tells.`;
  }
  if (isOpen(after.verdict)) {
    return `${change} The check afterwards is too short to prove anything: let it lie longer.`;
  }
  if (!apart) return `${change} No change is proved.`;
  if (!smaller) return `${change} It has become worse: try another way.`;
  return didWork(after.verdict)
    ? `${change} It helped, and the robot can drive.`
    : `${change} It helped, but not enough: try again, or another way.`;
}
