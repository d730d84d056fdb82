import { calibrationOf } from '../../../core/calibration/find';
import type { LightThresholdCalibration } from '../../../core/calibrationValues/lightThreshold';
import type { SavedCalibration } from '../../../formats/benchRecords';

/** A threshold that was found somewhere, as it was applied there last. */
export interface Profile {
  id: string;
  madeAt: string;
  value: LightThresholdCalibration;
  evidence: SavedCalibration['evidence'];
}

/** Of a unit's thresholds the newest of each venue, the newest first. */
export function profilesOf(
  calibrations: readonly SavedCalibration[],
  unitId: string | null,
): Profile[] {
  const newest = calibrations
    .filter((one) => one.unitId === unitId)
    .flatMap(({ id, madeAt, value: any, evidence }) => {
      const value = calibrationOf([any], 'light-threshold');
      return value === null ? [] : [{ id, madeAt, value, evidence }];
    })
    .toSorted((a, b) => b.madeAt.localeCompare(a.madeAt));
  return newest.filter(
    ({ value }, i) => newest.findIndex((one) => one.value.venue === value.venue) === i,
  );
}
