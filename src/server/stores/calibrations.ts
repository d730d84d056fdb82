import type { Transaction } from 'sequelize';
import type { CalibrationKind } from '../../core/calibration/calibration';
import {
  calibrationChangeRecord,
  calibrationRecord,
  type ApplyRequest,
  type CalibrationChangeRecord,
  type CalibrationRecord,
  type SavedCalibration,
  type SavedCalibrationChange,
} from '../../formats/benchRecords';
import { type Database, inTransaction } from '../database';
import type { Row } from '../models';
import { Problem } from '../problem';
import { keepForGood, type KeptForGood } from './immutable';

const toCalibration = (row: Row): CalibrationRecord =>
  calibrationRecord.parse(row.get({ plain: true }));

const toSaved = (row: Row): SavedCalibration => ({
  ...toCalibration(row),
  madeAt: (row.get('madeAt') as Date).toISOString(),
});

const toChange = (row: Row): CalibrationChangeRecord =>
  calibrationChangeRecord.parse(row.get({ plain: true }));

const toSavedChange = (row: Row): SavedCalibrationChange => ({
  ...toChange(row),
  changedAt: (row.get('changedAt') as Date).toISOString(),
});

const calibrationKept = (db: Database): KeptForGood<CalibrationRecord> => ({
  what: 'calibration',
  model: db.models.calibration,
  read: toCalibration,
  columns: ({ id: _id, ...columns }) => ({
    ...columns,
    kind: columns.value.kind,
    madeAt: new Date(),
  }),
});

const changeKept = (db: Database): KeptForGood<CalibrationChangeRecord> => ({
  what: 'change',
  model: db.models.calibrationChange,
  read: toChange,
  columns: ({ id: _id, ...columns }) => ({ ...columns, changedAt: new Date() }),
});

async function noteChange(
  db: Database,
  change: CalibrationChangeRecord,
  transaction: Transaction,
): Promise<SavedCalibrationChange> {
  if (change.calibrationId !== null) {
    const pointedTo = await db.models.calibration.findByPk(change.calibrationId, { transaction });
    const fits =
      pointedTo?.get('robotId') === change.robotId && pointedTo.get('kind') === change.kind;
    if (!fits) {
      throw new Problem(
        422,
        'points-nowhere',
        'This calibration is not there, or is another robot’s.',
      );
    }
  }
  return toSavedChange((await keepForGood(changeKept(db), change, transaction)).row);
}

/** Keep a calibration for good and let it hold from now on. */
export const applyCalibration = (db: Database, { calibration, change }: ApplyRequest) =>
  inTransaction(db, async (transaction) => {
    const { row } = await keepForGood(calibrationKept(db), calibration, transaction);
    return {
      calibration: toSaved(row),
      change: await noteChange(db, change, transaction),
    };
  });

/** Let another calibration hold (or none): going back is a change like any other. */
export const changeCalibration = (
  db: Database,
  change: CalibrationChangeRecord,
): Promise<SavedCalibrationChange> =>
  inTransaction(db, (transaction) => noteChange(db, change, transaction));

/** Every calibration of a robot and the journal of which held when, both the newest first. */
export async function calibrationsOf(db: Database, robotId: string) {
  const [calibrations, journal] = await Promise.all([
    db.models.calibration.findAll({
      where: { robotId },
      order: [['entry', 'DESC']],
    }),
    db.models.calibrationChange.findAll({
      where: { robotId },
      order: [['entry', 'DESC']],
    }),
  ]);
  return { calibrations: calibrations.map(toSaved), journal: journal.map(toSavedChange) };
}

/** Which calibration of each kind holds now. */
export type CurrentCalibrations = Partial<Record<CalibrationKind, SavedCalibration>>;

export function currentOf({
  calibrations,
  journal,
}: Awaited<ReturnType<typeof calibrationsOf>>): CurrentCalibrations {
  const current: CurrentCalibrations = {};
  const decided = new Set<CalibrationKind>();
  for (const { kind, calibrationId } of journal) {
    if (decided.has(kind)) continue;
    decided.add(kind);
    const holds = calibrations.find(({ id }) => id === calibrationId);
    if (holds !== undefined) current[kind] = holds;
  }
  return current;
}
