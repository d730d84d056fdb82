import { wrap } from '../geometry/angle';
import { mean, sampleSd } from './moments';

/**
 * Mean and sample standard deviation (n − 1) of angles, safe across the ±π seam.
 *
 * The angles are unrolled around their mean direction first, so that a bundle that does not touch
 * the seam gives exactly the arithmetic mean. NaN where there are too few angles.
 * Source: Mardia and Jupp, Directional Statistics, 2000, section 2.2 (mean direction).
 */
export function circularMean(anglesRad: readonly number[]): { meanRad: number; sdRad: number } {
  const direction = Math.atan2(mean(anglesRad.map(Math.sin)), mean(anglesRad.map(Math.cos)));
  const deviations = anglesRad.map((angle) => wrap(angle - direction));
  return { meanRad: wrap(direction + mean(deviations)), sdRad: sampleSd(deviations) };
}
