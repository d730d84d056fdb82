import { wrap } from '../geometry/angle';

/** At most so many readings at either end are taken together: the robot stands there. */
const MOST_READINGS = 20;

const mean = (values: Float64Array): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

/**
 * The heading that is left over after a lap, in (−π, π]: a full turn either way counts as none.
 *
 * @param headingRad as read during the lap, the robot standing at its beginning and end
 */
export function headingLeftOver(headingRad: Float64Array): number {
  const few = Math.max(1, Math.min(MOST_READINGS, Math.floor(headingRad.length / 10)));
  return wrap(mean(headingRad.subarray(-few)) - mean(headingRad.subarray(0, few)));
}
