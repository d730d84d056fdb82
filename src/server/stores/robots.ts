import type { Transaction } from 'sequelize';
import { ulid } from 'ulid';
import { changedParts } from '../../core/calibration/robotChanges';
import { robotRecord, type RobotRecord } from '../../formats/records';
import { type TeamDatabase, inTransaction } from '../database';
import type { Row } from '../models';
import { archivedColumn } from './archived';
import { columnsOf, fromRow } from './fromRow';
import { saveVersioned, type Kept } from './versioned';

const toRecord = fromRow(robotRecord);

export const robotKept = (db: TeamDatabase): Kept<RobotRecord> => ({
  what: 'robot',
  isOfTeam: db.teamId,
  model: db.models.robot,
  read: (row) => Promise.resolve(toRecord(row)),
  columns: (record) => ({ ...columnsOf(record), archivedAt: archivedColumn(record.archivedAt) }),
});

/** Now; or just after the last calibration, where the clock was set back since. */
async function afterCalibrations(db: TeamDatabase, robotId: string, transaction: Transaction) {
  const last = await db.models.calibration.max<Date | null, Row>('madeAt', {
    where: { robotId },
    transaction,
  });
  return new Date(Math.max(Date.now(), (last === null ? 0 : new Date(last).getTime()) + 1));
}

/** Save a robot; what was changed about it is noted with its date, for what rests on it. */
export const saveRobot = (db: TeamDatabase, record: RobotRecord): Promise<RobotRecord> =>
  inTransaction(db, async (transaction) => {
    const before = await db.models.robot.findByPk(record.id, { transaction, lock: true });
    const saved = await saveVersioned(robotKept(db), record, transaction);
    if (before === null || toRecord(before).version === saved.version) return saved;
    const parts = changedParts(toRecord(before).robot, saved.robot);
    if (parts.length === 0) return saved;
    const changedAt = await afterCalibrations(db, record.id, transaction);
    const noted = parts.map((part) => ({
      id: ulid(),
      robotId: record.id,
      part,
      note: 'Changed in the record',
      who: null,
      changedAt,
    }));
    await db.models.robotChange.bulkCreate(noted, { transaction });
    return saved;
  });

/** All robots, in the order in which they were made. */
export const listRobots = async (db: TeamDatabase): Promise<RobotRecord[]> =>
  (await db.models.robot.findAll({ order: ['id'] })).map(toRecord);

export async function findRobot(db: TeamDatabase, id: string): Promise<RobotRecord | null> {
  const row = await db.models.robot.findByPk(id);
  return row && toRecord(row);
}
