import {
  benchTrialsRecord,
  type BenchTrialsRecord,
  type SavedTrials,
} from '../../formats/benchRecords';
import { type Database, inTransaction } from '../database';
import type { Row } from '../models';
import { saveVersioned, type Kept } from './versioned';

const toRecord = (row: Row): BenchTrialsRecord => benchTrialsRecord.parse(row.get({ plain: true }));

const toSaved = (row: Row): SavedTrials => ({
  ...toRecord(row),
  startedAt: (row.get('startedAt') as Date).toISOString(),
});

const trialsKept = (db: Database): Kept<BenchTrialsRecord> => ({
  what: 'list of trials',
  model: db.models.benchTrials,
  read: (row) => Promise.resolve(toRecord(row)),
  columns: ({ id: _id, version: _version, ...columns }) => columns,
  atCreation: () => Promise.resolve({ startedAt: new Date() }),
});

export const saveTrials = (db: Database, record: BenchTrialsRecord): Promise<BenchTrialsRecord> =>
  inTransaction(db, (transaction) => saveVersioned(trialsKept(db), record, transaction));

/** The lists of trials of a robot and a procedure, the newest first. */
export const listTrials = async (
  db: Database,
  robotId: string,
  procedure: BenchTrialsRecord['procedure'],
): Promise<SavedTrials[]> =>
  (
    await db.models.benchTrials.findAll({
      where: { robotId, procedure },
      order: [['entry', 'DESC']],
    })
  ).map(toSaved);
