import type { CalibrationKind, CalibrationOf } from '../core/calibration/calibration';
import type { SavedCalibration } from './benchRecords';

export type SavedCalibrationOf<K extends CalibrationKind> = Omit<SavedCalibration, 'value'> & {
  value: CalibrationOf<K>;
};

/** Those that hold for a robot, by their kinds. */
export type HoldingCalibrations = { [K in CalibrationKind]?: SavedCalibrationOf<K> };

export const allHeld = (holding: HoldingCalibrations): SavedCalibration[] =>
  Object.values(holding).filter((one) => one !== undefined);
