import { col, fn } from 'sequelize';
import { z } from 'zod';
import {
  benchTrialsRecord,
  type BenchTrialsRecord,
  type TrialListEntry,
} from '../../formats/benchRecords';
import { type TeamDatabase, inTransaction } from '../database';
import { archivedColumn } from './archived';
import { columnsOf, fromRow } from './fromRow';
import { saveVersioned, type Kept } from './versioned';

const toRecord = fromRow(benchTrialsRecord);

const trialsKept = (db: TeamDatabase): Kept<BenchTrialsRecord> => ({
  what: 'list of trials',
  model: db.models.benchTrials,
  pointsTo: ({ robotId }) => [[db.models.robot, robotId]],
  read: (row) => Promise.resolve(toRecord(row)),
  columns: (record) => ({ ...columnsOf(record), archivedAt: archivedColumn(record.archivedAt) }),
  atCreation: () => Promise.resolve({ startedAt: new Date() }),
});

export const saveTrials = (
  db: TeamDatabase,
  record: BenchTrialsRecord,
): Promise<BenchTrialsRecord> =>
  inTransaction(db, (transaction) => saveVersioned(trialsKept(db), record, transaction));

/** A list of trials, as lists of lists show it. */
const listEntry = z
  .object({
    id: z.string(),
    startedAt: z.string(),
    archivedAt: z.string().nullable(),
    conditions: z.looseObject({ surface: z.string(), name: z.string().optional() }),
    count: z.number(),
  })
  .transform(({ conditions: { surface, name = null }, ...entry }): TrialListEntry => ({
    ...entry,
    name,
    surface,
  }));

type Procedure = BenchTrialsRecord['procedure'];

/** The lists of trials of a robot and a procedure, the newest first, without their trials. */
export const listTrials = async (
  db: TeamDatabase,
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
  ).map(fromRow(listEntry));

/** One list of trials in full; null where there is none. */
export async function findTrials(
  db: TeamDatabase,
  robotId: string,
  procedure: Procedure,
  id: string,
): Promise<BenchTrialsRecord | null> {
  const row = await db.models.benchTrials.findOne({ where: { id, robotId, procedure } });
  return row && toRecord(row);
}
