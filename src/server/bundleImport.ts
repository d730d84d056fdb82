import { QueryTypes, type Transaction } from 'sequelize';
import { asText, type BundleRow, type OpenBundle } from './bundle';
import type { Database } from './database';
import { holdingAll } from './holdingAll';
import { DERIVED_NAMES, OF_TEAM, TABLE_NAMES, type Row, type TableName } from './models';
import type { PlainRow } from './rowSchemas';
import { placeRuns } from './stores/runsFound';

/** One statement takes so many characters at most: far below what the database allows. */
const CHARACTERS_AT_ONCE = 300_000;

/** Insert checked rows as one statement, without making a record of each. */
async function insertRows(
  { models, sequelize }: Database,
  table: TableName,
  rows: PlainRow[],
  transaction: Transaction,
): Promise<void> {
  const model = models[table];
  const columns = Object.entries(model.getAttributes()).map(([attribute, column]) => ({
    ...column,
    attribute,
    field: column.field ?? attribute,
  }));
  const values = rows.map((row) =>
    Object.fromEntries(columns.map(({ attribute, field }) => [field, row[attribute] ?? null])),
  );
  const types = Object.fromEntries(columns.map((column) => [column.field, column]));
  const queries = sequelize.getQueryInterface();
  await queries.bulkInsert(model.getTableName(), values, { transaction }, types);
}

/** A row that says its team; one of an earlier Corvat is of the only one. */
function ofItsTeam(table: TableName, row: PlainRow, teams: ReadonlySet<unknown>): PlainRow {
  if (!OF_TEAM.includes(table)) return row;
  const teamId = row.teamId ?? [...teams][0];
  if (teams.has(teamId)) return { ...row, teamId };
  throw new Error(
    `A record in this file is of a team that is not in it: table ${table}, id ${String(row.id)}. Nothing was changed.`,
  );
}

/** Insert rows in batches; rows that point to others of their own table are linked at the end. */
async function insertAll(
  db: Database,
  rows: AsyncIterable<BundleRow>,
  transaction: Transaction,
  onProgress: (rows: number) => void,
) {
  let done = 0;
  const links: { id: unknown; beforeId: unknown }[] = [];
  let batch: PlainRow[] = [];
  let size = 0;
  let current: TableName | null = null;
  const teams = new Set<unknown>();
  // While the database takes a batch, the next is read.
  let taken: Promise<void> = Promise.resolve();
  const flush = async () => {
    await taken;
    if (current === null || batch.length === 0) return;
    const rowsDone = done + batch.length;
    taken = insertRows(db, current, batch, transaction).then(() => onProgress(rowsDone));
    // What goes wrong is told where the batch is waited for.
    taken.catch(() => undefined);
    done = rowsDone;
    batch = [];
    size = 0;
  };
  for await (const { table, row: read } of rows) {
    if (table === 'team') teams.add(read.id);
    const row = ofItsTeam(table, read, teams);
    const characters = JSON.stringify(asText(row)).length;
    if (table !== current || size + characters > CHARACTERS_AT_ONCE) await flush();
    current = table;
    size += characters;
    if (table === 'stillCheck' && row.beforeId !== null) {
      links.push({ id: row.id, beforeId: row.beforeId });
      batch.push({ ...row, beforeId: null });
    } else batch.push(row);
  }
  await flush();
  await taken;
  for (const { id, beforeId } of links) {
    await db.models.stillCheck.update({ beforeId }, { where: { id }, transaction });
  }
  await placeRuns(db, transaction);
}

/** Entries that come are counted on from those that were taken back. */
async function countOn(db: Database, transaction: Transaction): Promise<void> {
  const highest = await Promise.all(
    (['series', 'benchTrials', 'calibration', 'calibrationChange'] as const).map((name) =>
      db.models[name].max<number | null, Row>('entry', { transaction }),
    ),
  );
  const last = Math.max(0, ...highest.map((entry) => Number(entry ?? 0)));
  if (last > 0) {
    await db.sequelize.query(`SELECT SETVAL(entry_number, ${Math.round(last)})`, {
      type: QueryTypes.SELECT,
      transaction,
    });
  }
}

/** Put the rows of a backup in place of everything that is there, all or nothing. */
export const importBundle = (
  db: Database,
  { rows }: OpenBundle,
  { before = () => Promise.resolve(), onProgress = () => undefined }: ImportSettings = {},
): Promise<void> =>
  holdingAll(db, async (transaction) => {
    await before(transaction);
    for (const name of [...DERIVED_NAMES, ...TABLE_NAMES.toReversed()]) {
      await db.models[name].destroy({ where: {}, transaction });
    }
    await insertAll(db, rows, transaction, onProgress);
    await countOn(db, transaction);
  });

interface ImportSettings {
  /** Done with what is there, while nobody can save anything. */
  before?(transaction: Transaction): Promise<unknown>;
  onProgress?(rows: number): void;
}
