import { radiansFromDegrees } from '../../../core/geometry/angle';
import type { Corners } from '../../../core/square/squarePath';
import type { BenchStep } from '../../../core/standIn/steps/benchStep';

const QUARTER = radiansFromDegrees(90);

/** One lap: four sides, each followed by a quarter turn, all by encoders or all by the gyro. */
export function lapProgram(
  sideM: number,
  driven: 'encoders' | 'gyro',
  direction: 'cw' | 'ccw',
  corners: Corners,
): BenchStep[] {
  const angleRad = direction === 'ccw' ? QUARTER : -QUARTER;
  return Array.from({ length: 4 }, (): BenchStep[] => [
    { kind: 'straight', distanceM: sideM, speedMPerS: 0.25, holdHeading: driven === 'gyro' },
    {
      kind: 'turn',
      angleRad,
      pivots: corners === 'pivot',
      how:
        driven === 'encoders'
          ? { school: 'encoder', rateRadPerS: 0.9, endRateRadPerS: 0.03 }
          : { school: 'stop-early', rateRadPerS: 0.9, leadRad: 0.03 },
    },
  ]).flat();
}
