import type { CalibrationKind, CalibrationOf } from '../core/calibration/calibration';
import type { SavedCalibration } from './benchRecords';

export type SavedCalibrationOf<K extends CalibrationKind> = Omit<SavedCalibration, 'value'> & {
  value: CalibrationOf<K>;
};

/** Those that hold for a robot, by their kinds: of the units of a kind, that of the first. */
export type HoldingCalibrations = { [K in CalibrationKind]?: SavedCalibrationOf<K> } & {
  /** Those of the others; what each says names its unit. */
  ofOtherUnits: SavedCalibration[];
};

export const allHeld = ({ ofOtherUnits, ...ofFirst }: HoldingCalibrations): SavedCalibration[] => [
  ...Object.values(ofFirst).filter((one) => one !== undefined),
  ...ofOtherUnits,
];
