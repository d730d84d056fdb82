import type { PresenceCalibration } from '../calibrationValues/presence';
import type { Route } from '../course/route';
import { goesBy } from '../steps/goesBy';
import { number } from '../text/quantities';

/**
 * What is said before the next run of a route that goes by distance: the battery stands where echoes were lost.
 *
 * @param lastV as the last run noted it; null: nobody did
 * @returns null where there is nothing to warn of
 */
export function batteryWarning(
  route: Route,
  held: Pick<PresenceCalibration, 'lostBelowV'> | null,
  lastV: number | null,
): string | null {
  const belowV = held?.lostBelowV ?? null;
  if (belowV === null || lastV === null || lastV >= belowV) return null;
  if (!goesBy(route.steps, 'distance sensor')) return null;
  return `The last run began at ${number(lastV, 1)} V, and below ${number(belowV, 1)} V this robot’s distance sensor loses echoes: change the battery.`;
}
