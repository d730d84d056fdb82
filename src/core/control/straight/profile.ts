/** Duration of a trapezoid speed profile over a distance: at least triangular, 0 for no distance. */
export function profileDurationS(
  distanceM: number,
  speedMPerS: number,
  accelMPerS2: number,
): number {
  const distance = Math.abs(distanceM);
  const rampM = (speedMPerS * speedMPerS) / accelMPerS2;
  return distance >= rampM
    ? distance / speedMPerS + speedMPerS / accelMPerS2
    : 2 * Math.sqrt(distance / accelMPerS2);
}
