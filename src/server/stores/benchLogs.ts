import type { ChannelLog } from '../../core/channels/log';
import {
  benchLogPiece,
  benchLogRecord,
  type BenchLogPiece,
  type BenchLogRecord,
} from '../../formats/benchLogs';
import { type TeamDatabase, inTransaction } from '../database';
import { packColumn, unpackColumn } from '../packedColumn';
import { conflict, notFound, Problem } from '../problem';
import { columnsOf, fromRow } from './fromRow';
import { keepForGood, type KeptForGood } from './immutable';

const toRecord = fromRow(benchLogRecord);

const logKept = (db: TeamDatabase): KeptForGood<BenchLogRecord> => ({
  what: 'log',
  model: db.models.benchLog,
  pointsTo: ({ robotId }) => [[db.models.robot, robotId]],
  read: toRecord,
  columns: (record) => ({ ...columnsOf(record), takenAt: new Date(record.takenAt) }),
});

/** Announce a log; its samples follow in pieces. */
export const storeLog = (db: TeamDatabase, record: BenchLogRecord): Promise<BenchLogRecord> =>
  inTransaction(db, async (transaction) =>
    toRecord((await keepForGood(logKept(db), record, transaction)).row),
  );

/** The channel under which the times of a log are kept. */
const TIME = 't';

/** Keep one piece of a log; the same piece sent again is the same piece. */
export const saveLogPiece = (
  db: TeamDatabase,
  logId: string,
  piece: BenchLogPiece,
): Promise<void> =>
  inTransaction(db, async (transaction) => {
    const log = await db.models.benchLog.findByPk(logId, { transaction, lock: true });
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
    const { number } = piece;
    const rows = [TIME, ...columns].map((channel) => ({
      logId,
      channel,
      number,
      data: packColumn(withGaps(channel === TIME ? piece.tS : (piece.columns[channel] ?? []))),
    }));
    const model = db.models.benchLogColumn;
    const existing = await model.findAll({ where: { logId, number }, transaction });
    if (existing.length === 0) {
      await model.bulkCreate(rows, { transaction });
      return;
    }
    const kept = new Map(existing.map((row) => [row.get('channel'), row.get('data') as Buffer]));
    const isSame = rows.every(({ channel, data }) => {
      const there = kept.get(channel);
      return there !== undefined && sameNumbers(unpackColumn(there), unpackColumn(data));
    });
    if (!isSame) throw conflict('piece of a log', null);
  });

const withGaps = (values: readonly (number | null)[]): number[] =>
  values.map((value) => value ?? Number.NaN);

const sameNumbers = (a: Float64Array, b: Float64Array): boolean =>
  a.length === b.length && a.every((value, i) => Object.is(value, b[i]));

/**
 * One piece of a log as it was sent; null when it never came.
 *
 * @param keys only these of its channels; null for all
 */
export async function findLogPiece(
  db: TeamDatabase,
  logId: string,
  number: number,
  keys: readonly string[] | null = null,
): Promise<BenchLogPiece | null> {
  if ((await db.models.benchLog.count({ where: { id: logId } })) === 0) return null;
  const wanted = keys === null ? {} : { channel: [TIME, ...keys] };
  const rows = await db.models.benchLogColumn.findAll({ where: { logId, number, ...wanted } });
  const columns = new Map(
    rows.map((row) => [
      row.get('channel') as string,
      Array.from(unpackColumn(row.get('data') as Buffer), (value) =>
        Number.isNaN(value) ? null : value,
      ),
    ]),
  );
  const tS = columns.get(TIME);
  columns.delete(TIME);
  if (tS === undefined) return null;
  return benchLogPiece.parse({ number, tS, columns: Object.fromEntries(columns) });
}

export async function findLog(db: TeamDatabase, id: string): Promise<BenchLogRecord | null> {
  const row = await db.models.benchLog.findByPk(id);
  return row && toRecord(row);
}

/**
 * Some channels of a log, and its times; a problem in words where some of its pieces never came.
 *
 * @param keys those that the log does not have are passed over
 */
export async function logSamples(
  db: TeamDatabase,
  log: BenchLogRecord,
  keys: readonly string[],
): Promise<ChannelLog> {
  const wanted = [TIME, ...keys.filter((key) => log.columns.includes(key))];
  const rows = await db.models.benchLogColumn.findAll({
    where: { logId: log.id, channel: wanted },
    order: ['number'],
  });
  const joined = wanted.map((channel) => {
    const parts = rows.filter((row) => row.get('channel') === channel);
    if (parts.length < log.pieces) {
      throw new Problem(
        422,
        'incomplete',
        `Only ${parts.length} of ${log.pieces} pieces of this log have come: send it again.`,
      );
    }
    const values = Float64Array.from(
      parts.flatMap((row) => Array.from(unpackColumn(row.get('data') as Buffer))),
    );
    return [channel, values] as const;
  });
  const { [TIME]: tS = new Float64Array(), ...columns } = Object.fromEntries(joined);
  return { tS, columns };
}
