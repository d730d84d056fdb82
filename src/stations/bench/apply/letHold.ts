import type { CalibrationValue } from '../../../core/calibration/calibration';
import { deviceFor } from '../../../core/calibration/holding';
import type {
  CalibrationRecord,
  SavedCalibration,
  SavedCalibrationChange,
} from '../../../formats/benchRecords';
import type { RobotRecord } from '../../../formats/records';
import { post } from '../../api';

/** What is to hold from now on, and what it was measured by. */
export interface Measured {
  value: CalibrationValue;
  evidence: CalibrationRecord['evidence'];
  surface: string | null;
  battery: string | null;
  /** The unit that was measured; left out: the first of its kind. */
  unitId?: string | undefined;
}

/** Made once by whoever asks, so that asking again after a lost answer applies it once. */
export interface ApplyIds {
  calibration: string;
  change: string;
}

/** Lets something measured hold from now on. */
export function letHold(
  robot: RobotRecord,
  { value, evidence, surface, battery, unitId }: Measured,
  ids: ApplyIds,
  { reason, who }: { reason: string; who: string },
): Promise<{ calibration: SavedCalibration; change: SavedCalibrationChange }> {
  // What is mounted while it is measured may be part of what was found.
  const { mountings, mounted } = robot.robot;
  const made = mountings.length === 0 ? value : { ...value, mounted };
  const whose = { robotId: robot.id, unitId: unitId ?? deviceFor(robot.robot, value.kind) };
  return post('/api/calibrations', {
    calibration: { id: ids.calibration, ...whose, value: made, evidence, surface, battery },
    change: {
      id: ids.change,
      ...whose,
      kind: value.kind,
      calibrationId: ids.calibration,
      reason: reason.trim() || 'Measured on the bench',
      who: who.trim() || null,
    },
  });
}
