import { col, fn } from 'sequelize';
import {
  benchTrialsRecord,
  type BenchTrialsRecord,
  type TrialListEntry,
} from '../../formats/benchRecords';
import { type Database, inTransaction } from '../database';
import type { Row } from '../models';
import { archivedAtOf, archivedColumn } from './archived';
import { saveVersioned, type Kept } from './versioned';

const toRecord = (row: Row): BenchTrialsRecord =>
  benchTrialsRecord.parse({ ...row.get({ plain: true }), archivedAt: archivedAtOf(row) });

const trialsKept = (db: Database): Kept<BenchTrialsRecord> => ({
  what: 'list of trials',
  model: db.models.benchTrials,
  read: (row) => Promise.resolve(toRecord(row)),
  columns: ({ id: _id, version: _version, archivedAt, ...columns }) => ({
    ...columns,
    archivedAt: archivedColumn(archivedAt),
  }),
  atCreation: () => Promise.resolve({ startedAt: new Date() }),
});

export const saveTrials = (db: Database, record: BenchTrialsRecord): Promise<BenchTrialsRecord> =>
  inTransaction(db, (transaction) => saveVersioned(trialsKept(db), record, transaction));

type Procedure = BenchTrialsRecord['procedure'];

/** The lists of trials of a robot and a procedure, the newest first, without their trials. */
export const listTrials = async (
  db: Database,
  robotId: string,
  procedure: Procedure,
): Promise<TrialListEntry[]> =>
  (
    await db.models.benchTrials.findAll({
      attributes: [
        'id',
        'startedAt',
        'archivedAt',
        'conditions',
        [fn('JSON_LENGTH', col('trials')), 'count'],
      ],
      where: { robotId, procedure },
      order: [['entry', 'DESC']],
    })
  ).map((row) => {
    const { surface, name } = row.get('conditions') as { surface: string; name?: string };
    return {
      id: row.get('id') as string,
      startedAt: (row.get('startedAt') as Date).toISOString(),
      archivedAt: archivedAtOf(row),
      count: row.get('count') as number,
      name: name ?? null,
      surface,
    };
  });

/** One list of trials in full; null where there is none. */
export async function findTrials(
  db: Database,
  robotId: string,
  procedure: Procedure,
  id: string,
): Promise<BenchTrialsRecord | null> {
  const row = await db.models.benchTrials.findOne({ where: { id, robotId, procedure } });
  return row && toRecord(row);
}
