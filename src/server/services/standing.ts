import type { CalibrationKind } from '../../core/calibration/calibration';
import { calibrationStanding } from '../../core/calibration/standing';
import type { Freshness } from '../../core/freshness';
import type { Database } from '../database';
import { calibrationsOf, currentOf } from '../stores/calibrations';
import { listRobotChanges } from '../stores/robotChanges';

/** How far each kind of calibration of a robot can be relied on. */
export async function standingOf(
  db: Database,
  robotId: string,
): Promise<Record<CalibrationKind, Freshness>> {
  const [all, changes] = await Promise.all([
    calibrationsOf(db, robotId),
    listRobotChanges(db, robotId),
  ]);
  const current = currentOf(all);
  const dated = changes.map(({ part, changedAt }) => ({ part, changedAt: new Date(changedAt) }));
  const standing = (kind: CalibrationKind) => {
    const madeAt = current[kind]?.madeAt;
    return calibrationStanding(
      kind,
      madeAt === undefined ? null : new Date(madeAt),
      dated,
      new Date(),
    );
  };
  return {
    'gyro-drift': standing('gyro-drift'),
    turns: standing('turns'),
    drive: standing('drive'),
  };
}
