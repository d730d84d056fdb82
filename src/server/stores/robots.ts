import type { Transaction } from 'sequelize';
import { ulid } from 'ulid';
import { changedParts } from '../../core/calibration/robotChanges';
import { robotSchema } from '../../core/robot';
import type { RobotRecord } from '../../formats/records';
import { type Database, inTransaction } from '../database';
import type { Row } from '../models';
import { archivedAtOf, archivedColumn } from './archived';
import { saveVersioned, type Kept } from './versioned';

const toRecord = (row: Row): RobotRecord => ({
  id: row.get('id') as string,
  version: row.get('version') as number,
  teamId: row.get('teamId') as string,
  name: row.get('name') as string,
  // What later versions ask for besides is filled in.
  robot: robotSchema.parse(row.get('robot')),
  archivedAt: archivedAtOf(row),
});

export const robotKept = (db: Database): Kept<RobotRecord> => ({
  what: 'robot',
  model: db.models.robot,
  read: (row) => Promise.resolve(toRecord(row)),
  columns: ({ teamId, name, robot, archivedAt }) => ({
    teamId,
    name,
    robot,
    archivedAt: archivedColumn(archivedAt),
  }),
});

/** Now; or just after the last calibration, where the clock was set back since. */
async function afterCalibrations(db: Database, robotId: string, transaction: Transaction) {
  const last = await db.models.calibration.max<Date | null, Row>('madeAt', {
    where: { robotId },
    transaction,
  });
  return new Date(Math.max(Date.now(), (last === null ? 0 : new Date(last).getTime()) + 1));
}

/** Save a robot; what was changed about it is noted with its date, for what rests on it. */
export const saveRobot = (db: Database, record: RobotRecord): Promise<RobotRecord> =>
  inTransaction(db, async (transaction) => {
    const before = await db.models.robot.findByPk(record.id, { transaction, lock: true });
    const saved = await saveVersioned(robotKept(db), record, transaction);
    if (before === null || (before.get('version') as number) === saved.version) return saved;
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
export const listRobots = async (db: Database): Promise<RobotRecord[]> =>
  (await db.models.robot.findAll({ order: ['id'] })).map(toRecord);

export async function findRobot(db: Database, id: string): Promise<RobotRecord | null> {
  const row = await db.models.robot.findByPk(id);
  return row && toRecord(row);
}
