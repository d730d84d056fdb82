import { LOG_COLUMNS, type LogColumn } from '../../formats/benchConstants';
import {
  benchLogPiece,
  benchLogRecord,
  type BenchLogPiece,
  type BenchLogRecord,
} from '../../formats/benchRecords';
import { type Database, inTransaction } from '../database';
import type { Row } from '../models';
import { conflict, notFound, Problem } from '../problem';
import { keepForGood, type KeptForGood } from './immutable';

const toRecord = (row: Row): BenchLogRecord =>
  benchLogRecord.parse({
    ...row.get({ plain: true }),
    takenAt: (row.get('takenAt') as Date).toISOString(),
  });

const logKept = (db: Database): KeptForGood<BenchLogRecord> => ({
  what: 'log',
  model: db.models.benchLog,
  read: toRecord,
  columns: ({ id: _id, takenAt, ...columns }) => ({ ...columns, takenAt: new Date(takenAt) }),
});

/** Announce a log; its samples follow in pieces. */
export const saveLog = (db: Database, record: BenchLogRecord): Promise<BenchLogRecord> =>
  inTransaction(db, async (transaction) =>
    toRecord((await keepForGood(logKept(db), record, transaction)).row),
  );

/** Keep one piece of a log; the same piece sent again is the same piece. */
export const saveLogPiece = (db: Database, logId: string, piece: BenchLogPiece): Promise<void> =>
  inTransaction(db, async (transaction) => {
    const log = await db.models.benchLog.findByPk(logId, { transaction });
    if (log === null) throw notFound('log');
    const { pieces, columns } = toRecord(log);
    const missing = columns.find((column) => piece.columns[column] === undefined);
    if (piece.number >= pieces || missing !== undefined) {
      throw new Problem(
        422,
        'invalid',
        'This piece does not belong to the log as it was announced.',
      );
    }
    const where = { logId, number: piece.number };
    const existing = await db.models.benchLogPiece.findOne({ where, transaction, lock: true });
    const data = { tS: piece.tS, columns: piece.columns };
    if (existing === null)
      await db.models.benchLogPiece.create({ ...where, data }, { transaction });
    else if (JSON.stringify(existing.get('data')) !== JSON.stringify(data)) {
      throw conflict('piece of a log', null);
    }
  });

/** One piece of a log as it was sent; null when it never came. */
export async function findLogPiece(
  db: Database,
  logId: string,
  number: number,
): Promise<BenchLogPiece | null> {
  const row = await db.models.benchLogPiece.findOne({ where: { logId, number } });
  return row && benchLogPiece.parse({ number, ...(row.get('data') as object) });
}

/** A whole log: its samples in order of time, one array per column. */
export interface LogSamples {
  tS: Float64Array;
  columns: Partial<Record<LogColumn, Float64Array>>;
}

export async function findLog(db: Database, id: string): Promise<BenchLogRecord | null> {
  const row = await db.models.benchLog.findByPk(id);
  return row && toRecord(row);
}

/** The samples of a log; a problem in words where some of its pieces never came. */
export async function logSamples(db: Database, log: BenchLogRecord): Promise<LogSamples> {
  const rows = await db.models.benchLogPiece.findAll({
    where: { logId: log.id },
    order: ['number'],
  });
  if (rows.length < log.pieces) {
    throw new Problem(
      422,
      'incomplete',
      `Only ${rows.length} of ${log.pieces} pieces of this log have come: send it again.`,
    );
  }
  const data = rows.map((row) => row.get('data') as Pick<BenchLogPiece, 'tS' | 'columns'>);
  const joined = (of: (piece: (typeof data)[number]) => number[] | undefined) =>
    Float64Array.from(data.flatMap((piece) => of(piece) ?? []));
  return {
    tS: joined(({ tS }) => tS),
    columns: Object.fromEntries(
      LOG_COLUMNS.filter((column) => log.columns.includes(column)).map((column) => [
        column,
        joined(({ columns }) => columns[column]),
      ]),
    ),
  };
}
