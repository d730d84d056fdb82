import { degreesFromRadians } from '../geometry/angle';
import { number } from '../text/quantities';
import type { StrategyOutcome } from './simulateStrategy';

/** Names of the six ways that are compared, in their order. */
export const STRATEGY_NAMES: readonly string[] = [
  'By the encoders',
  'Stop early by the gyro',
  'Two speeds',
  'Proportional (P)',
  'Proportional, damped (PD)',
  'With integral (PID)',
];

/** What is off in all: the mean error and twice the scatter. */
const offBy = ({ meanErrorRad, sdErrorRad }: StrategyOutcome): number =>
  Math.abs(meanErrorRad) + 2 * sdErrorRad;

/** The ways that settle, but for one turn in twenty at most. */
const settledWays = (outcomes: readonly StrategyOutcome[]) =>
  outcomes
    .map((outcome, place) => ({ outcome, place, name: STRATEGY_NAMES[place] ?? '' }))
    .filter(({ outcome }) => outcome.unsettledShare < 0.05);

/** An error that a turn may have and still be worth its speed: half a degree. */
const GOOD_ENOUGH_RAD = 0.0087;

/** The fastest of the ways that are exact enough. */
const goodWay = (outcomes: readonly StrategyOutcome[]) =>
  settledWays(outcomes)
    .filter(({ outcome }) => offBy(outcome) <= GOOD_ENOUGH_RAD)
    .toSorted((a, b) => a.outcome.meanDurationS - b.outcome.meanDurationS)[0];

/** The place of the way to look at first: the fastest that is exact enough, or else the most exact. */
export function wayToShow(outcomes: readonly StrategyOutcome[]): number {
  const exact = settledWays(outcomes).toSorted((a, b) => offBy(a.outcome) - offBy(b.outcome))[0];
  return (goodWay(outcomes) ?? exact)?.place ?? 0;
}

const within = ({ outcome }: { outcome: StrategyOutcome }): string =>
  `${number(degreesFromRadians(offBy(outcome)), 1)}°`;

/** The way to program, in a sentence, and what a more exact one would cost: never two recommendations. */
export function compareText(outcomes: readonly StrategyOutcome[]): string {
  const best = settledWays(outcomes).toSorted((a, b) => offBy(a.outcome) - offBy(b.outcome))[0];
  if (best === undefined) return 'None of these settles: take the gain down.';
  const good = goodWay(outcomes);
  if (good === undefined) {
    return `None keeps within half a degree; “${best.name}” comes nearest: 95 of 100 turns end within ${within(best)}, in ${number(best.outcome.meanDurationS, 1)} s.`;
  }
  const exact = `“${good.name}” is right: 95 of 100 turns end within ${within(good)}, in ${number(good.outcome.meanDurationS, 1)} s`;
  const longerS = best.outcome.meanDurationS - good.outcome.meanDurationS;
  return best.place === good.place || longerS <= 0
    ? `${exact}, and nothing is more exact.`
    : `${exact}; “${best.name}” would keep within ${within(best)}, but takes ${number(longerS, 1)} s longer.`;
}

/** What to do with the comparison: the fastest way that is exact enough, or what would make one so. */
export function adviceText(outcomes: readonly StrategyOutcome[]): string {
  const good = goodWay(outcomes);
  if (good !== undefined) {
    return `Program it as “${good.name}”: nothing faster keeps within half a degree.`;
  }
  const [, early] = outcomes;
  const further = early === undefined ? 0 : degreesFromRadians(early.meanErrorRad);
  return Math.abs(further) > 0.5
    ? `Stopping ${number(Math.abs(further), 1)}° ${further > 0 ? 'earlier' : 'later'} would make “${STRATEGY_NAMES[1]}” right on average.`
    : 'Slow down the last degrees, or turn more slowly: then less is left to chance.';
}
