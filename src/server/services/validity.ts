import type { CalibrationKind } from '../../core/calibration/calibration';
import { ofEveryKind } from '../../core/calibration/registry';
import { calibrationValidity } from '../../core/calibration/validity';
import type { Freshness } from '../../core/freshness';
import type { Database } from '../database';
import { calibrationsOf, currentOf } from '../stores/calibrations';
import { listRobotChanges } from '../stores/robotChanges';

/** How far each kind of calibration of a robot can be relied on. */
export async function validityOf(
  db: Database,
  robotId: string,
): Promise<Record<CalibrationKind, Freshness>> {
  const [all, changes] = await Promise.all([
    calibrationsOf(db, robotId),
    listRobotChanges(db, robotId),
  ]);
  const current = currentOf(all);
  const dated = changes.map(({ part, changedAt }) => ({ part, changedAt: new Date(changedAt) }));
  return ofEveryKind((kind) => {
    const madeAt = current[kind]?.madeAt;
    return calibrationValidity(
      kind,
      madeAt === undefined ? null : new Date(madeAt),
      dated,
      new Date(),
    );
  });
}
