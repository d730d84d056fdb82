import { degreesFromRadians } from '../../core/geometry/angle';
import type { AnchorCorrection } from '../../core/gyro/anchors';

/**
 * A corrected run as CSV: time, the heading as it was read and the heading as it was, in degrees,
 * left turns positive.
 *
 * @param headingRad as read, one for each corrected sample
 */
export function correctedCsv(
  headingRad: Float64Array,
  { corrected }: Pick<AnchorCorrection, 'corrected'>,
): string {
  const degrees = (value: number) => degreesFromRadians(value).toFixed(3);
  const lines = corrected.map(
    (sample, i) =>
      `${sample.tS.toFixed(4)},${degrees(headingRad[i] ?? 0)},${degrees(sample.headingRad)}`,
  );
  return ['t_s,heading_deg,corrected_heading_deg', ...lines, ''].join('\n');
}
