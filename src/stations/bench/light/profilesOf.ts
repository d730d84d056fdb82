import type { LightThresholdCalibration } from '../../../core/calibrationValues/lightThreshold';
import type { SavedCalibration } from '../../../formats/benchRecords';

/** A threshold that was found somewhere, as it was applied there last. */
export interface Profile {
  id: string;
  madeAt: string;
  value: LightThresholdCalibration;
  evidence: SavedCalibration['evidence'];
}

const isThreshold = (
  one: SavedCalibration,
): one is SavedCalibration & { value: LightThresholdCalibration } =>
  one.value.kind === 'light-threshold';

/** Of a unit's thresholds the newest of each venue, the newest first. */
export function profilesOf(
  calibrations: readonly SavedCalibration[],
  unitId: string | null,
): Profile[] {
  const newest = calibrations
    .filter(isThreshold)
    .filter((one) => one.unitId === unitId)
    .toSorted((a, b) => b.madeAt.localeCompare(a.madeAt));
  return newest
    .filter(({ value }, i) => newest.findIndex((one) => one.value.venue === value.venue) === i)
    .map(({ id, madeAt, value, evidence }) => ({ id, madeAt, value, evidence }));
}
