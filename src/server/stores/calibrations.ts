import { Op, type Order, type Transaction } from 'sequelize';
import type { CalibrationKind } from '../../core/calibration/calibration';
import { belongsTo, movableUnits } from '../../core/calibration/holding';
import { CALIBRATION_KINDS } from '../../core/calibration/registry';
import {
  calibrationChangeRecord,
  calibrationRecord,
  savedCalibration,
  savedCalibrationChange,
  type ApplyRequest,
  type CalibrationChangeRecord,
  type CalibrationRecord,
  type SavedCalibration,
  type SavedCalibrationChange,
} from '../../formats/benchRecords';
import type { RobotRecord } from '../../formats/records';
import { type Database, inTransaction } from '../database';
import { Problem } from '../problem';
import { columnsOf, fromRow } from './fromRow';
import { keepForGood, type KeptForGood } from './immutable';

const toCalibration = fromRow(calibrationRecord);
const toSaved = fromRow(savedCalibration);
const toChange = fromRow(calibrationChangeRecord);
const toSavedChange = fromRow(savedCalibrationChange);

const calibrationKept = (db: Database): KeptForGood<CalibrationRecord> => ({
  what: 'calibration',
  model: db.models.calibration,
  read: toCalibration,
  columns: (record) => ({ ...columnsOf(record), kind: record.value.kind, madeAt: new Date() }),
});

const changeKept = (db: Database): KeptForGood<CalibrationChangeRecord> => ({
  what: 'change',
  model: db.models.calibrationChange,
  read: toChange,
  columns: (record) => ({ ...columnsOf(record), changedAt: new Date() }),
});

async function noteChange(
  db: Database,
  change: CalibrationChangeRecord,
  transaction: Transaction,
): Promise<SavedCalibrationChange> {
  if (change.calibrationId !== null) {
    const pointedTo = await db.models.calibration.findByPk(change.calibrationId, { transaction });
    const fits =
      pointedTo !== null &&
      pointedTo.get('kind') === change.kind &&
      pointedTo.get('unitId') === change.unitId &&
      (pointedTo.get('robotId') === change.robotId || change.unitId !== null);
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

/**
 * Every calibration of a robot and of the units on it, wherever they were measured, and the journal of which held
 * when, both the newest first.
 */
export async function calibrationsOf(db: Database, record: RobotRecord) {
  const units = movableUnits(record.robot);
  const where =
    units.length === 0
      ? { robotId: record.id }
      : { [Op.or]: [{ robotId: record.id }, { unitId: units }] };
  const order: Order = [['entry', 'DESC']];
  const [calibrations, journal] = await Promise.all([
    db.models.calibration.findAll({ where, order }),
    db.models.calibrationChange.findAll({ where, order }),
  ]);
  return { calibrations: calibrations.map(toSaved), journal: journal.map(toSavedChange) };
}

/** Which calibration of each kind holds now. */
export type CurrentCalibrations = Partial<Record<CalibrationKind, SavedCalibration>>;

/** Those that hold for a robot with the units that are in use on it. */
export function currentOf(
  { calibrations, journal }: Awaited<ReturnType<typeof calibrationsOf>>,
  record: RobotRecord,
): CurrentCalibrations {
  const current: CurrentCalibrations = {};
  for (const { kind } of CALIBRATION_KINDS) {
    const line = journal.find((one) => one.kind === kind && belongsTo(one, kind, record));
    const holds = calibrations.find(({ id }) => id === line?.calibrationId);
    if (holds !== undefined) current[kind] = holds;
  }
  return current;
}
