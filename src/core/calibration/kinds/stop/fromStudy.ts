import type { StopModel, StopTrial } from '../../../ranging/stopModel';
import { withoutRounding } from '../../../stats/roundedFit';
import type { StopCalibration } from '../../../calibrationValues/stop';

/** Stops by distance, to be computed with; null where too few tell how single ones scatter. */
export function calibrationFromStops(
  { lagS, brakingMPerS2, residualSdM, stepM, lateSeS, n }: StopModel,
  trials: readonly StopTrial[],
): StopCalibration | null {
  if (!Number.isFinite(residualSdM)) return null;
  const speeds = trials.map(({ speedMPerS }) => speedMPerS);
  return {
    kind: 'stop',
    lagS,
    brakingMPerS2,
    residualSdM: withoutRounding(residualSdM, stepM),
    ...(Number.isFinite(lateSeS) && { lateSeS }),
    n,
    slowestMPerS: Math.min(...speeds),
    fastestMPerS: Math.max(...speeds),
  };
}
