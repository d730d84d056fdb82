import { calibrationOf } from '../../../core/calibration/find';
import type { LightThresholdCalibration } from '../../../core/calibrationValues/lightThreshold';
import type { SavedCalibration } from '../../../formats/benchRecords';

/** A threshold that was found somewhere, as it was applied there last. */
export interface Profile {
  id: string;
  unitId: string | null;
  madeAt: string;
  value: LightThresholdCalibration;
  evidence: SavedCalibration['evidence'];
}

/** Of each unit's thresholds the newest of each venue, the newest first. */
export function profilesOf(calibrations: readonly SavedCalibration[]): Profile[] {
  const newest = calibrations
    .flatMap(({ id, unitId, madeAt, value: any, evidence }) => {
      const value = calibrationOf([any], 'light-threshold');
      return value === null ? [] : [{ id, unitId, madeAt, value, evidence }];
    })
    .toSorted((a, b) => b.madeAt.localeCompare(a.madeAt));
  return newest.filter(
    ({ unitId, value }, i) =>
      newest.findIndex((one) => one.unitId === unitId && one.value.venue === value.venue) === i,
  );
}
