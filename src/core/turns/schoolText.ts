import { degreesFromRadians } from '../geometry/angle';
import { number } from '../text/quantities';
import type { SchoolOutcome } from './simulateSchool';

/** Names of the six ways that are compared, in their order. */
export const SCHOOL_NAMES: readonly string[] = [
  'By the encoders',
  'Stop early by the gyro',
  'Two speeds',
  'Proportional (P)',
  'Proportional, damped (PD)',
  'With integral (PID)',
];

/** What is off in all: the mean error and twice the scatter. */
const offBy = ({ meanErrorRad, sdErrorRad }: SchoolOutcome): number =>
  Math.abs(meanErrorRad) + 2 * sdErrorRad;

/** The most exact way and the fastest, in a sentence. */
export function compareText(outcomes: readonly SchoolOutcome[]): string {
  const settled = outcomes
    .map((outcome, i) => ({ outcome, name: SCHOOL_NAMES[i] ?? '' }))
    .filter(({ outcome }) => outcome.unsettledShare < 0.05);
  const best = settled.toSorted((a, b) => offBy(a.outcome) - offBy(b.outcome))[0];
  const fastest = settled.toSorted((a, b) => a.outcome.meanDurationS - b.outcome.meanDurationS)[0];
  if (best === undefined || fastest === undefined) {
    return 'None of these settles: take the gain down.';
  }
  const exact = `“${best.name}” is the most exact: 95 of 100 turns end within ${number(degreesFromRadians(offBy(best.outcome)), 1)}°, in ${number(best.outcome.meanDurationS, 1)} s`;
  return best === fastest
    ? `${exact}, and nothing is faster.`
    : `${exact}; “${fastest.name}” is faster by ${number(best.outcome.meanDurationS - fastest.outcome.meanDurationS, 1)} s, within ${number(degreesFromRadians(offBy(fastest.outcome)), 1)}°.`;
}
