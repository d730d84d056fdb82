import { degreesFromRadians } from '../geometry/angle';
import { centimetres, clock, degrees, number } from '../text/quantities';
import type { StillCheck } from './stillCheck';

/** A result in words: what was found, what it does to a run, what to do next. */
export interface ThreeSentences {
  found: string;
  means: string;
  next: string;
}

/** A rate in degrees per second, with two digits that mean something. */
export function driftText(radPerS: number): string {
  const value = degreesFromRadians(radPerS);
  const decimals = Math.abs(value) >= 1 ? 1 : Math.abs(value) >= 0.1 ? 2 : 3;
  return `${number(value, decimals)} °/s`;
}

/** Half the width of a drift's interval, in the same way. */
export const driftPlusMinus = ({ low95, high95 }: Pick<StillCheck, 'low95' | 'high95'>): string =>
  driftText((high95 - low95) / 2);

type Judged = Omit<StillCheck, 'fit'>;

function found(check: Judged): string {
  if (check.verdict === 'not-enough-still-time') {
    return `The robot stood still for only ${number(check.cleanS)} s.`;
  }
  const way = check.driftRadPerS > 0 ? 'left' : 'right';
  const text = `The heading creeps to the ${way} by ${driftText(Math.abs(check.driftRadPerS))} (± ${driftPlusMinus(check)})`;
  const zero = check.low95 <= 0 && check.high95 >= 0;
  return zero
    ? `No drift is proved: it is ${driftText(check.driftRadPerS)} ± ${driftPlusMinus(check)}.`
    : `${text}.`;
}

/** After subtracting it, or when none is proved: how far off the heading may be at the end at most. */
const atWorstRad = (check: Judged, runDurationS: number): number =>
  Math.max(Math.abs(check.low95), Math.abs(check.high95)) * runDurationS;

function means(check: Judged, runDurationS: number): string {
  if (check.verdict === 'not-enough-still-time') return 'That is too short to tell a drift.';
  const run = clock(runDurationS);
  const worst = atWorstRad(check, runDurationS);
  if (check.verdict === 'steady') {
    return `At the end of a run of ${run} the heading is off by less than ${degrees(worst)}: nothing to worry about.`;
  }
  const zero = check.low95 <= 0 && check.high95 >= 0;
  const size = zero ? worst : Math.abs(check.headingErrorAtEndRad);
  // A heading that is far off drives anywhere: no figure per metre then.
  const sideways =
    size < 1.2
      ? `, and each metre driven then lands ${centimetres(Math.sin(size))} to the side`
      : '';
  return `${zero ? 'At the end of' : 'Over'} a run of ${run} that ${zero ? 'may be' : 'comes to'} ${zero ? 'up to ' : ''}${degrees(size)}${sideways}.`;
}

function next(check: Judged, toleranceRad: number): string {
  switch (check.verdict) {
    case 'steady':
      return 'Drive. Check again after the next power-up.';
    case 'correctable':
      return `It is steady enough to subtract: let the program take off ${driftText(check.driftRadPerS)} × time, and less than ${degrees(toleranceRad)} is left.`;
    case 're-zero':
      return 'Start the sensor anew with the robot lying still; the guide shows how, and proves that it helped.';
    case 'measure-longer':
      return `Let it lie for ${clock(check.neededS ?? 0)} in all: then it is known well enough.`;
    case 'not-enough-still-time':
      return 'Put it down, hands off, and let it lie for 30 s.';
  }
}

/** The result of a still check in three sentences. */
export const stillSentences = (
  check: Judged,
  runDurationS: number,
  toleranceRad: number,
): ThreeSentences => ({
  found: found(check),
  means: means(check, runDurationS),
  next: next(check, toleranceRad),
});

/** The verdict in a word or two. */
export const VERDICT_NAMES: Record<StillCheck['verdict'], string> = {
  steady: 'steady',
  correctable: 'can be corrected',
  're-zero': 'start the sensor anew',
  'measure-longer': 'measure longer',
  'not-enough-still-time': 'too short',
};
