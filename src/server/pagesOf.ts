import { DataTypes, Op, type Transaction } from 'sequelize';
import type { Database } from './database';
import type { TableName } from './models';
import type { PlainRow } from './rowSchemas';

/** Rows read at once: few of those that are large. */
const ROWS_AT_ONCE: Partial<Record<TableName, number>> = { benchLogColumn: 50, benchTrials: 50 };
const USUAL_ROWS_AT_ONCE = 500;

/**
 * The rows of a table in the order of its key, as plain values, for they are only written down; a page begins
 * behind the key that the one before it ended with.
 */
export async function* pagesOf(
  db: Database,
  name: TableName,
  transaction: Transaction,
): AsyncGenerator<PlainRow[]> {
  const limit = ROWS_AT_ONCE[name] ?? USUAL_ROWS_AT_ONCE;
  const model = db.models[name];
  const [key = 'id', ...more] = model.primaryKeyAttributes;
  const truths = Object.entries(model.getAttributes())
    .filter(([, { type }]) => type instanceof DataTypes.BOOLEAN)
    .map(([attribute]) => attribute);
  let last: unknown = null;
  for (let offset = 0; ; offset += limit) {
    const rows = (await model.findAll({
      raw: true,
      order: [key, ...more],
      limit,
      // Keys of several columns have no simple “behind”, and their tables are small.
      ...(more.length > 0 ? { offset } : last !== null && { where: { [key]: { [Op.gt]: last } } }),
      transaction,
    })) as unknown as PlainRow[];
    // The database has no truth values, only 1 and 0.
    for (const truth of truths) {
      for (const row of rows) row[truth] = row[truth] === null ? null : row[truth] === 1;
    }
    yield rows;
    if (rows.length < limit) return;
    last = rows.at(-1)?.[key];
  }
}
