import type { HoldingCalibrations } from '../../formats/holding';
import { Op, type Order, type Transaction } from 'sequelize';
import type { z } from 'zod';
import type { CalibrationKind, CalibrationValue } from '../../core/calibration/calibration';
import { belongsTo, devicesFor, movableDevices } from '../../core/calibration/holding';
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
import { type TeamDatabase, inTransaction } from '../database';
import { Problem } from '../problem';
import { columnsOf, fromRow } from './fromRow';
import { keepForGood, type KeptForGood } from './immutable';

const toCalibration = fromRow(calibrationRecord);
const toSaved = fromRow(savedCalibration);
const toChange = fromRow(calibrationChangeRecord);
const toSavedChange = fromRow(savedCalibrationChange);

const calibrationKept = (db: TeamDatabase): KeptForGood<CalibrationRecord> => ({
  what: 'calibration',
  model: db.models.calibration,
  pointsTo: ({ robotId }) => [[db.models.robot, robotId]],
  read: toCalibration,
  columns: (record) => ({ ...columnsOf(record), kind: record.value.kind, madeAt: new Date() }),
});

const changeKept = (db: TeamDatabase): KeptForGood<CalibrationChangeRecord> => ({
  what: 'change',
  model: db.models.calibrationChange,
  pointsTo: ({ robotId }) => [[db.models.robot, robotId]],
  read: toChange,
  columns: (record) => ({ ...columnsOf(record), changedAt: new Date() }),
});

/** What was tried again has to be what holds: a look at an earlier one must not bring that back. */
async function needHolds(
  db: TeamDatabase,
  { id, kind, robotId, unitId, calibrationId }: CalibrationChangeRecord,
  transaction: Transaction,
): Promise<void> {
  const last = await db.models.calibrationChange.findOne({
    where: { kind, ...(unitId === null ? { robotId } : { unitId }), id: { [Op.ne]: id } },
    order,
    transaction,
  });
  if (calibrationId !== null && last?.get('calibrationId') === calibrationId) return;
  throw new Problem(
    409,
    'another-holds',
    'Another calibration holds meanwhile: open the page again and check that one.',
  );
}

async function noteChange(
  db: TeamDatabase,
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
  const { row, isNew } = await keepForGood(changeKept(db), change, transaction);
  if (isNew && change.checked) await needHolds(db, change, transaction);
  return toSavedChange(row);
}

/** Keep a calibration for good and let it hold from now on. */
export const applyCalibration = (db: TeamDatabase, { calibration, change }: ApplyRequest) =>
  inTransaction(db, async (transaction) => {
    const { row } = await keepForGood(calibrationKept(db), calibration, transaction);
    return {
      calibration: toSaved(row),
      change: await noteChange(db, change, transaction),
    };
  });

/** Let another calibration hold (or none): going back is a change like any other. */
export const changeCalibration = (
  db: TeamDatabase,
  change: CalibrationChangeRecord,
): Promise<SavedCalibrationChange> =>
  inTransaction(db, (transaction) => noteChange(db, change, transaction));

const order: Order = [['entry', 'DESC']];

/** What was measured of a robot, or of the units on it wherever that was. */
function ofRobotAndDevices(record: RobotRecord) {
  const units = movableDevices(record.robot);
  return units.length === 0
    ? { robotId: record.id }
    : { [Op.or]: [{ robotId: record.id }, { unitId: units }] };
}

/**
 * Every calibration of a robot and of the units on it, wherever they were measured, and the journal of which held
 * when, both the newest first.
 */
export async function calibrationsOf(db: TeamDatabase, record: RobotRecord) {
  const where = ofRobotAndDevices(record);
  const [calibrations, journal] = await Promise.all([
    db.models.calibration.findAll({ where, order }),
    db.models.calibrationChange.findAll({ where, order }),
  ]);
  return { calibrations: calibrations.map(toSaved), journal: journal.map(toSavedChange) };
}

/** What tells which calibration holds, without what it is and what it rests on. */
const head = savedCalibration.pick({ id: true, unitId: true, madeAt: true });
const valueOnly = savedCalibration.pick({ id: true, value: true });
const line = savedCalibrationChange.pick({
  robotId: true,
  unitId: true,
  kind: true,
  calibrationId: true,
  checked: true,
  changedAt: true,
});

/** The same as `calibrationsOf`, but when each was made alone: every page says how fresh the Bench is. */
export async function calibrationHeadsOf(db: TeamDatabase, record: RobotRecord) {
  const where = ofRobotAndDevices(record);
  const [calibrations, journal] = await Promise.all([
    db.models.calibration.findAll({ where, order, attributes: Object.keys(head.shape) }),
    db.models.calibrationChange.findAll({ where, order, attributes: Object.keys(line.shape) }),
  ]);
  return { calibrations: calibrations.map(fromRow(head)), journal: journal.map(fromRow(line)) };
}

/** What some calibrations say, by their ids. */
export async function calibrationValues(
  db: TeamDatabase,
  ids: readonly string[],
): Promise<Map<string, CalibrationValue>> {
  const rows = await db.models.calibration.findAll({
    where: { id: [...ids] },
    attributes: ['id', 'value'],
  });
  return new Map(rows.map(fromRow(valueOnly)).map(({ id, value }) => [id, value]));
}

/** Which calibration of each kind holds now. */
export type CurrentCalibrations<C> = Partial<Record<CalibrationKind, C>>;

/** All that was made, and which held when, the newest first. */
interface Made<C extends { id: string }> {
  calibrations: readonly C[];
  journal: readonly Omit<z.output<typeof line>, 'checked' | 'changedAt'>[];
}

/** What holds of a kind; of a unit, where it is a unit's. */
function holds<C extends { id: string }>(
  { calibrations, journal }: Made<C>,
  kind: CalibrationKind,
  record: RobotRecord,
  unitId?: string,
): C | undefined {
  const line = journal.find((one) => one.kind === kind && belongsTo(one, kind, record, unitId));
  return calibrations.find(({ id }) => id === line?.calibrationId);
}

/** Those that hold for a robot with the units that are in use on it. */
export function currentOf<C extends { id: string }>(
  made: Made<C>,
  record: RobotRecord,
): CurrentCalibrations<C> {
  const current: CurrentCalibrations<C> = {};
  for (const { kind } of CALIBRATION_KINDS) {
    const one = holds(made, kind, record);
    if (one !== undefined) current[kind] = one;
  }
  return current;
}

/** The same with what each says, and those of a robot's other units: a row is of the kind that its value is. */
export function holdingOf(made: Made<SavedCalibration>, record: RobotRecord): HoldingCalibrations {
  const ofOtherUnits = CALIBRATION_KINDS.flatMap(({ kind }) =>
    devicesFor(record.robot, kind)
      .slice(1)
      .flatMap((unitId) => {
        const one = holds(made, kind, record, unitId);
        return one === undefined ? [] : [{ ...one, value: { ...one.value, unitId } }];
      }),
  );
  return { ...currentOf(made, record), ofOtherUnits } as HoldingCalibrations;
}
