import type { CalibrationKind } from '../../../core/calibration/calibration';
import { belongsTo, devicesFor } from '../../../core/calibration/holding';
import { CALIBRATION_KINDS, kindOfCalibration } from '../../../core/calibration/registry';
import type { SavedCalibrationChange } from '../../../formats/benchRecords';
import type { RobotRecord } from '../../../formats/records';

/** Where a calibration can hold: a kind of it; of what is measured of units, one of them. */
export interface Place {
  kind: CalibrationKind;
  /** Null: the whole robot. */
  unitId: string | null;
  /** It is not the first unit of its kind: what is measured of it is no gap while nobody did. */
  isOther: boolean;
}

/** Every place of a robot, in the working order of the kinds. */
export const placesOf = ({ robot }: RobotRecord): Place[] =>
  CALIBRATION_KINDS.flatMap(({ kind }): Place[] => {
    const [first = null, ...others] = devicesFor(robot, kind);
    // Of a unit that is not on it nothing can hold.
    if (first === null && kindOfCalibration(kind).unit !== null) return [];
    return [
      { kind, unitId: first, isOther: false },
      ...others.map((unitId) => ({ kind, unitId, isOther: true })),
    ];
  });

/** The journal of one place, the newest first. */
export const linesOf = (
  { kind, unitId }: Place,
  journal: readonly SavedCalibrationChange[],
  robot: RobotRecord,
): SavedCalibrationChange[] =>
  journal.filter((line) => line.kind === kind && belongsTo(line, kind, robot, unitId));
