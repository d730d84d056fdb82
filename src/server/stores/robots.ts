import type { Robot } from '../../core/robot';
import type { RobotRecord } from '../../formats/records';
import { type Database, inTransaction } from '../database';
import type { Row } from '../models';
import { saveVersioned, type Kept } from './versioned';

const toRecord = (row: Row): RobotRecord => ({
  id: row.get('id') as string,
  version: row.get('version') as number,
  teamId: row.get('teamId') as string,
  name: row.get('name') as string,
  robot: row.get('robot') as Robot,
});

export const robotKept = (db: Database): Kept<RobotRecord> => ({
  what: 'robot',
  model: db.models.robot,
  read: (row) => Promise.resolve(toRecord(row)),
  columns: ({ teamId, name, robot }) => ({ teamId, name, robot }),
});

export const saveRobot = (db: Database, record: RobotRecord): Promise<RobotRecord> =>
  inTransaction(db, (transaction) => saveVersioned(robotKept(db), record, transaction));

/** All robots, in the order in which they were made. */
export const listRobots = async (db: Database): Promise<RobotRecord[]> =>
  (await db.models.robot.findAll({ order: ['id'] })).map(toRecord);

export async function findRobot(db: Database, id: string): Promise<RobotRecord | null> {
  const row = await db.models.robot.findByPk(id);
  return row && toRecord(row);
}
