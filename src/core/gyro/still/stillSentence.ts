import { benchLength, counted, clock, degrees, number, aMetre } from '../../text/quantities';
import { driftFigures, driftSize, driftText, measuredDrift } from '../driftText';
import type { StillCheck } from './stillCheck';
import { STILL_SETTINGS } from './stillDefaults';
import { isProved } from '../interval';
import { walkInRun } from '../runWalk';
import type { StillVerdict } from './stillVerdict';

/** A result in words: what was found, what it does to a run, what to do next. */
export interface ThreeSentences {
  found: string;
  means: string;
  next: string;
}

type Judged = Omit<StillCheck, 'fit' | 'allan'>;

/** What a run is, and how much of its tolerance drift may use up. */
interface Run {
  durationS: number;
  allowedRad: number;
}

const isChanging = ({ warmUp }: Judged): boolean => warmUp?.changing === true;

/** A rate whose step hides the drift: it cannot be proved by reading it for longer. */
const isHidden = (check: Judged): boolean =>
  check.kind === 'rate' &&
  !isProved(check) &&
  (check.high95 - check.low95) / 2 >= check.quantum / 2;

/** For how long a heading in such steps has to be looked at: one step in that time is within the share. */
const headingInstead = (check: Judged, { durationS, allowedRad }: Run): string =>
  clock(Math.ceil(((check.quantum / allowedRad) * durationS) / 10) * 10);

/** What was found; two typed readings are said to be no more than that. */
const found = (check: Judged): string =>
  check.typed === true
    ? `${foundIn(check)} Two readings of a screen with steps of ${degrees(check.quantum, 2)} tell no more; the longer between them, the more.`
    : foundIn(check);

function foundIn(check: Judged): string {
  if (check.verdict === 'not-still') {
    return 'This is no robot at rest: in this log it drives, or somebody swings it round.';
  }
  if (check.verdict === 'not-enough-still-time') {
    return `The robot stood still for only ${number(check.cleanS)} s.`;
  }
  const { warmUp, quantum } = check;
  if (warmUp !== null && isChanging(check)) {
    return `The drift itself is changing, from ${driftText(warmUp.startRadPerS)} to ${driftText(warmUp.endRadPerS)}: the sensor is still warming up.`;
  }
  if (isHidden(check) && quantum > 0) {
    return `No drift is proved: the rate is read in steps of ${driftSize(quantum)}, and up to ${driftSize(quantum / 2)} hides in one.`;
  }
  if (!isProved(check)) {
    return `No drift is proved: it is ${measuredDrift(check)}.`;
  }
  const way = check.driftRadPerS > 0 ? 'left' : 'right';
  const { drift, plusMinus } = driftFigures(check);
  return `The heading creeps to the ${way} by ${drift.replace(/^[−-]/, '')} °/s (± ${plusMinus} °/s).`;
}

/** The larger end of what the next run's drift may be, times its length. */
const worstInRun = (low: number, high: number, durationS: number): number =>
  Math.max(Math.abs(low), Math.abs(high)) * durationS;

/** How far off the heading may be at the end of a run when nothing is done about it. */
function offAtEnd(check: Judged, { durationS }: Run): number {
  const [low, high] = isChanging(check)
    ? [check.nextRunLow95, check.nextRunHigh95]
    : [check.low95, check.high95];
  return (
    worstInRun(low, high, durationS) +
    2 * check.wanderRadPerS * durationS +
    walkInRun(check.randomWalkRadPerSqrtS, durationS)
  );
}

/** A heading that is far off drives anywhere: no figure per metre then. */
const sideways = (sizeRad: number): string =>
  sizeRad < 1.2
    ? `, and ${aMetre()} driven then lands ${benchLength(Math.sin(sizeRad))} to the side`
    : '';

/** Whether the drift wanders, as far as such a check can tell. */
const wanderText = ({ wanderRadPerS, earlierChecks = 0 }: Judged): string =>
  wanderRadPerS > 0
    ? ` It wanders by itself as well, by ± ${driftSize(wanderRadPerS)}.`
    : earlierChecks > 0
      ? ` What ${counted(earlierChecks, 'earlier check')} of this sensor showed of its wandering is counted in.`
      : ' Whether it wanders from one run to the next, so short a check cannot show.';

function means(check: Judged, run: Run): string {
  if (check.verdict === 'not-still') return 'It tells nothing about drift, and is not kept.';
  if (check.verdict === 'not-enough-still-time') return 'That is too short to tell a drift.';
  const time = clock(run.durationS);
  if (check.verdict === 'check-again') {
    return `So soon after it was switched on (${clock(check.sincePowerUpS ?? 0)}) it may still be warming up, and so short a check cannot show that.`;
  }
  const worst = offAtEnd(check, run);
  if (check.verdict === 'steady') {
    return `At the end of a run of ${time} the heading is off by less than ${degrees(worst)}: nothing to worry about.`;
  }
  if (isChanging(check)) {
    return `In a run of ${time} that begins now it comes to up to ${degrees(worst)}, and less the longer it lies.`;
  }
  const size = isProved(check) ? Math.abs(check.headingErrorAtEndRad) : worst;
  return isProved(check)
    ? `Over a run of ${time} that comes to ${degrees(size)}${sideways(size)}.${wanderText(check)}`
    : `At the end of a run of ${time} that may be up to ${degrees(size)}${sideways(size)}.${wanderText(check)}`;
}

/** What would tell more, where the verdict is open. */
function measureLonger(check: Judged, run: Run): string {
  const { neededS, cleanS } = check;
  if (isChanging(check)) {
    return `Subtract nothing yet: wait for ${clock(Math.max(60, (neededS ?? 0) - cleanS))} more, and measure again.`;
  }
  if (check.warmUp?.hinted === true) {
    return `Subtract nothing yet: the drift may be changing, as it does while a sensor warms up. Check again, over ${clock(neededS ?? 2 * cleanS)}.`;
  }
  if (isHidden(check)) {
    return `Look at the heading over ${headingInstead(check, run)} instead: such a rate proves nothing.`;
  }
  const leave = isProved(check) ? '' : 'Leave it as it is. ';
  return neededS === null
    ? `${leave}No longer check would tell more: square up on the way where the heading matters.`
    : `${leave}Let it lie for ${clock(neededS)} in all: then it is known well enough.`;
}

function next(check: Judged, run: Run): string {
  switch (check.verdict) {
    case 'not-still':
      return 'Put the robot down where nothing moves it, motors off, and let it lie for 30 s.';
    case 'steady':
      return 'Leave it as it is, and drive. Check again after the next power-up.';
    case 'correctable':
      return `It is steady enough to subtract: let the program take off ${driftText(check.driftRadPerS)} × time, and less than ${degrees(run.allowedRad)} is left.`;
    case 're-zero':
      return 'Start the sensor anew with the robot lying still; the guide shows how, and proves that it helped.';
    case 're-anchor':
      return 'No longer check and no subtraction can help: square up on the way, and set the heading there.';
    case 'measure-longer':
      return measureLonger(check, run);
    case 'check-again':
      return `Subtract nothing yet, and check again in ${counted((check.againInS ?? 60) / 60, 'minute')}: when both say the same, it has settled.`;
    case 'not-enough-still-time':
      return 'Put it down, hands off, and let it lie for 30 s.';
  }
}

/** The result of a still check in three sentences. */
export function stillSentences(
  check: Judged,
  runDurationS: number,
  toleranceRad: number,
  driftShare = STILL_SETTINGS.driftShare,
): ThreeSentences {
  const run = { durationS: runDurationS, allowedRad: driftShare * toleranceRad };
  return { found: found(check), means: means(check, run), next: next(check, run) };
}

/** The verdict in a word or two. */
export const VERDICT_NAMES: Record<StillVerdict, string> = {
  'not-still': 'it drives',
  steady: 'leave it as it is',
  correctable: 'can be subtracted',
  're-zero': 'start the sensor anew',
  're-anchor': 'square up on the way',
  'measure-longer': 'measure longer',
  'check-again': 'check again later',
  'not-enough-still-time': 'too short',
};
