import type { CalibrationKind } from '../../core/calibration/calibration';
import { isByEarlierMethod, ofEveryKind } from '../../core/calibration/registry';
import { calibrationValidity } from '../../core/calibration/validity';
import type { Freshness } from '../../core/text/freshness';
import type { RobotRecord } from '../../formats/records';
import type { TeamDatabase } from '../database';
import { calibrationHeadsOf, calibrationValues, currentOf } from '../stores/calibrations';
import { listRobotChanges } from '../stores/robotChanges';

/** How far each kind of calibration of a robot can be relied on. */
export async function validityOf(
  db: TeamDatabase,
  record: RobotRecord,
): Promise<Record<CalibrationKind, Freshness>> {
  const [all, changes] = await Promise.all([
    calibrationHeadsOf(db, record),
    listRobotChanges(db, record.id),
  ]);
  const current = currentOf(all, record);
  const values = await calibrationValues(
    db,
    Object.values(current).map(({ id }) => id),
  );
  const dated = changes.map(({ part, changedAt }) => ({ part, changedAt: new Date(changedAt) }));
  return ofEveryKind((kind) => {
    const holds = current[kind];
    if (holds === undefined) return calibrationValidity(kind, null, dated, new Date());
    const value = values.get(holds.id);
    // Tried again since, it is as fresh as that.
    const checked = all.journal.find((line) => line.checked && line.calibrationId === holds.id);
    const made = {
      at: new Date(checked?.changedAt ?? holds.madeAt),
      unitId: holds.unitId,
      isByEarlierMethod: value !== undefined && isByEarlierMethod(value),
    };
    return calibrationValidity(kind, made, dated, new Date());
  });
}
