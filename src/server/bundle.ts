import { z } from 'zod';
import type { Transaction } from 'sequelize';
import { describeIssue } from '../formats/issues';
import { readJson } from '../formats/jsonText';
import { withVisibleText } from '../formats/visibleText';
import { fittingColumns } from './fittingColumns';
import { inTransaction, type Database } from './database';
import { OF_TEAM, TABLE_NAMES, type TableName } from './models';
import { packColumn } from './packedColumn';
import { pagesOf } from './pagesOf';
import { ROW_SCHEMAS, type PlainRow } from './rowSchemas';

const FORMAT = 'corvat-backup';
const FORMAT_VERSION = 3;

const header = z.object({
  format: z.literal(FORMAT),
  formatVersion: z.union([z.literal(1), z.literal(2), z.literal(3)]),
  data: z.enum(['demo', 'team']),
  madeAt: z.iso.datetime(),
});

const oldPiece = z.object({
  tS: z.array(z.number()),
  columns: z.record(z.string(), z.array(z.number())),
});

export type BundleHeader = z.output<typeof header>;

/** How many rows of each table. */
export type Counts = Record<TableName, number>;

const noRows = (): Counts => Object.fromEntries(TABLE_NAMES.map((name) => [name, 0])) as Counts;

/** Bytes in letters, as JSON can hold them. */
export const asText = (row: PlainRow): PlainRow =>
  Object.fromEntries(
    Object.entries(row).map(([key, value]) => [
      key,
      Buffer.isBuffer(value) ? value.toString('base64') : value,
    ]),
  );

/** Lines of a backup: what it is, then a row each, then the end, by which a cut-off file is told. */
export async function* exportLines(
  db: Database,
  data: BundleHeader['data'],
  transaction: Transaction,
  counts: Counts = noRows(),
): AsyncGenerator<string> {
  const madeAt = new Date().toISOString();
  yield JSON.stringify({ format: FORMAT, formatVersion: FORMAT_VERSION, data, madeAt });
  for (const name of TABLE_NAMES) {
    for await (const rows of pagesOf(db, name, transaction)) {
      for (const row of rows) {
        yield JSON.stringify({ table: name, row: asText(row) });
      }
      counts[name] += rows.length;
    }
  }
  yield JSON.stringify({ end: true, rows: total(counts) });
}

export const total = (counts: Counts): number =>
  Object.values(counts).reduce((sum, rows) => sum + rows, 0);

/** Work on all data as it is at one moment. */
export const atOneMoment = <T>(db: Database, work: (transaction: Transaction) => Promise<T>) =>
  inTransaction(db, work);

/** A row of a backup, held to its schema. */
export interface BundleRow {
  table: TableName;
  row: PlainRow;
}

const line = z.union([
  z.object({ table: z.string(), row: z.looseObject({}) }),
  z.object({ end: z.literal(true), rows: z.number().int() }),
]);

const parseJson = (text: string, where: string): unknown => {
  try {
    return withVisibleText(readJson(text));
  } catch {
    throw new Error(`This file is not a backup of Corvat: ${where} is not readable as JSON.`);
  }
};

function parseHeader(value: unknown): BundleHeader {
  const parsed = header.safeParse(value);
  if (parsed.success) return parsed.data;
  throw new Error(
    `This file is not a backup that this Corvat can read: ${firstIssue(parsed.error)}.`,
  );
}

/** The team of a row; nothing in backups of an earlier Corvat, which had one alone. */
function teamOf(table: TableName, row: unknown): { teamId?: string } {
  if (!OF_TEAM.includes(table)) return {};
  const { data } = z.object({ teamId: z.ulid() }).safeParse(row);
  return data ?? {};
}

/** A row as its table wants it, brought forward; a sentence with table, id and field where it does not fit. */
function checkedRow(table: TableName, row: unknown): BundleRow {
  const parsed = ROW_SCHEMAS[table].safeParse(row);
  if (parsed.success) return { table, row: { ...parsed.data, ...teamOf(table, row) } };
  throw unreadable(table, row as PlainRow, parsed.error);
}

function unreadable(table: string, { id, logId, number }: PlainRow, why: z.ZodError | string) {
  const which = typeof id === 'string' ? id : `${String(logId)}, ${String(number)}`;
  return new Error(
    `A record in this file cannot be read: table ${table}, id ${which}, ${typeof why === 'string' ? why : firstIssue(why)}. Nothing was changed.`,
  );
}

const firstIssue = ({ issues: [issue] }: z.ZodError): string =>
  issue === undefined ? '' : describeIssue(issue);

/** Pieces of logs as they were kept until format 2: all channels of a piece in one row. */
const OLD_PIECES = 'benchLogPiece';

/** The rows that a row of a backup stands for, brought forward. */
function rowsOf(table: string, row: unknown): BundleRow[] {
  if (table === OLD_PIECES) {
    return columnsOfPiece(row as PlainRow).map((column) => checkedRow('benchLogColumn', column));
  }
  const name = TABLE_NAMES.find((known) => known === table);
  if (name === undefined) {
    throw new Error(`This file has rows of a table that this Corvat does not know: ${table}.`);
  }
  return [checkedRow(name, row)];
}

function columnsOfPiece({ logId, number, data }: PlainRow): PlainRow[] {
  const parsed = oldPiece.safeParse(data);
  if (!parsed.success) throw unreadable(OLD_PIECES, { logId, number }, parsed.error);
  const { tS, columns } = parsed.data;
  return Object.entries({ ...columns, t: tS }).map(([channel, values]) => ({
    logId,
    channel,
    number,
    data: packColumn(values).toString('base64'),
  }));
}

/** The tables of a backup of format 1: one JSON value for everything. */
function* rowsOfFirstFormat(value: unknown): Generator<BundleRow> {
  const { tables } = value as { tables?: Record<string, unknown> };
  for (const name of TABLE_NAMES.flatMap((each) =>
    each === 'benchLogColumn' ? [OLD_PIECES] : [each],
  )) {
    const rows: unknown = tables?.[name] ?? [];
    if (!Array.isArray(rows)) {
      throw new Error(`This file is not a backup that this Corvat can read: tables.${name}.`);
    }
    for (const row of rows) yield* rowsOf(name, row);
  }
}

/** A backup that is being read: what it is, and its rows one after the other. */
export interface OpenBundle {
  head: BundleHeader;
  rows: AsyncIterable<BundleRow>;
}

/** What follows the end of a backup was put there by somebody else. */
async function nothingAfter(lines: AsyncIterator<string>, end: number): Promise<void> {
  for (let n = end + 1; ; n += 1) {
    const next = await lines.next();
    if (next.done === true) return;
    if (next.value.trim() === '') continue;
    throw new Error(`Line ${n} of this file stands behind the end of the backup: it is not whole.`);
  }
}

/**
 * Read a backup line by line, each row held to its schema.
 *
 * @throws Error with a sentence when it is none, is cut off, or holds a record that no page could read
 */
export async function openBundle(lines: AsyncIterable<string>): Promise<OpenBundle> {
  const iterator = lines[Symbol.asyncIterator]();
  const first = await iterator.next();
  const value = parseJson(first.done === true ? '' : first.value, 'its first line');
  const head = parseHeader(value);
  const misfit = fittingColumns();
  async function* rows(): AsyncGenerator<BundleRow> {
    for await (const one of readRows()) {
      const why = one.table === 'benchLogColumn' ? misfit(one.row) : null;
      if (why !== null) throw unreadable(one.table, one.row, why);
      yield one;
    }
  }
  async function* readRows(): AsyncGenerator<BundleRow> {
    if (head.formatVersion === 1) {
      yield* rowsOfFirstFormat(value);
      return;
    }
    let read = 0;
    for (let n = 2; ; n += 1) {
      const next = await iterator.next();
      if (next.done === true) throw new Error('This backup is cut off: its last line is missing.');
      const parsed = line.safeParse(parseJson(next.value, `line ${n}`));
      if (!parsed.success) throw new Error(`Line ${n} of this file is no line of a backup.`);
      if ('end' in parsed.data) {
        if (parsed.data.rows !== read) {
          throw new Error(
            `This backup is not whole: ${read} of ${parsed.data.rows} rows are in it.`,
          );
        }
        await nothingAfter(iterator, n);
        return;
      }
      read += 1;
      yield* rowsOf(parsed.data.table, parsed.data.row);
    }
  }
  return { head, rows: rows() };
}

/** Read a backup to its end without keeping it: whether it fits, and how much is in it. */
export async function checkBundle({
  head,
  rows,
}: OpenBundle): Promise<{ head: BundleHeader; counts: Counts }> {
  const counts = noRows();
  for await (const { table } of rows) counts[table] += 1;
  return { head, counts };
}

/** How many rows of each kind there are, in words. */
export const describeCounts = (counts: Counts): string =>
  TABLE_NAMES.map((name) => `${counts[name]} ${name}`).join(', ');
