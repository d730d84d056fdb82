import { robotChangeRecord, type RobotChangeRecord } from '../../formats/benchRecords';
import { type TeamDatabase, inTransaction } from '../database';
import { columnsOf, fromRow } from './fromRow';
import { keepForGood, type KeptForGood } from './immutable';

const toRecord = fromRow(robotChangeRecord);

const kept = (db: TeamDatabase): KeptForGood<RobotChangeRecord> => ({
  what: 'change',
  model: db.models.robotChange,
  pointsTo: ({ robotId }) => [[db.models.robot, robotId]],
  read: toRecord,
  columns: (record) => ({ ...columnsOf(record), changedAt: new Date(record.changedAt) }),
});

/** Note that a part of a robot was changed. */
export const saveRobotChange = (
  db: TeamDatabase,
  record: RobotChangeRecord,
): Promise<RobotChangeRecord> =>
  inTransaction(db, async (transaction) =>
    toRecord((await keepForGood(kept(db), record, transaction)).row),
  );

/** The changes of a robot, the newest first. */
export const listRobotChanges = async (
  db: TeamDatabase,
  robotId: string,
): Promise<RobotChangeRecord[]> =>
  (
    await db.models.robotChange.findAll({
      where: { robotId },
      order: [
        ['changedAt', 'DESC'],
        ['id', 'DESC'],
      ],
    })
  ).map(toRecord);
