import type { Placed, PlacingGroup } from '../../../placing/placing';
import type { PlacingCalibration } from '../../../calibrationValues/placing';

/** As a normal interval of 95 % has it. */
const standardError = ({ low95, high95 }: Placed): number => (high95 - low95) / (2 * 1.96);

/**
 * How one person places the robot, to be computed with; null where too few tell how single placings scatter.
 *
 * @param hasPlan whether it was told where the robot should stand
 */
export function calibrationFromPlacing(
  { person, way, n, along, across, heading }: PlacingGroup,
  hasPlan: boolean,
): PlacingCalibration | null {
  if (n < 3) return null;
  return {
    kind: 'placing',
    person,
    way,
    n,
    alongSdM: along.scatter.sd,
    acrossSdM: across.scatter.sd,
    headingSdRad: heading.scatter.sd,
    aim: hasPlan
      ? {
          alongM: along.mean,
          acrossM: across.mean,
          headingRad: heading.mean,
          alongSeM: standardError(along),
          acrossSeM: standardError(across),
          headingSeRad: standardError(heading),
        }
      : null,
  };
}
