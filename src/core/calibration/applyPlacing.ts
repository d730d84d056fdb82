import type { Route } from '../course/route';
import type { PlacingCalibration } from '../calibrationValues/placing';

/** Smaller differences than a tenth of a millimetre, or of a degree, are none. */
const LEAST_M = 0.0001;
const LEAST_RAD = 0.0017;

/** Whether a route is placed as was measured. */
export const isPlacedAsMeasured = (
  { placement }: Route,
  { alongSdM, acrossSdM, headingSdRad }: PlacingCalibration,
): boolean =>
  Math.abs(placement.alongSdM - alongSdM) < LEAST_M &&
  Math.abs(placement.acrossSdM - acrossSdM) < LEAST_M &&
  Math.abs(placement.headingSdRad - headingSdRad) < LEAST_RAD;

/** A route that is placed as was measured. */
export const withPlacing = (
  route: Route,
  { alongSdM, acrossSdM, headingSdRad }: PlacingCalibration,
): Route => ({ ...route, placement: { alongSdM, acrossSdM, headingSdRad } });
