import type { LightThresholdCalibration } from '../calibrationValues/lightThreshold';
import type { Route } from '../course/route';
import { goesBy } from '../steps/goesBy';
import { lineText } from './thresholdWords';

const isSame = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/**
 * What is said before the runs of a route that goes by light: where its threshold comes from, when that is not where the
 * robot is now.
 *
 * @param place where the runs are made; null: nobody said
 * @returns null where there is nothing to warn of
 */
export function venueWarning(
  route: Route,
  held: LightThresholdCalibration | null,
  place: string | null,
): string | null {
  if (!goesBy(route.steps, 'light sensor')) return null;
  if (held === null) {
    return 'This route goes by light, and what line and floor read here nobody has measured.';
  }
  const { venue } = held;
  if (venue !== '' && place !== null && isSame(venue, place)) return null;
  const threshold = `This route goes by light; its threshold (the line at ${lineText(held, held.threshold)}) was read ${venue === '' ? 'nobody noted where' : `at ${venue}`}`;
  return place === null
    ? `${threshold}. If you are somewhere else, five readings of line and floor say whether it holds.`
    : `${threshold}, not at ${place}: five readings of line and floor say whether it holds here.`;
}
