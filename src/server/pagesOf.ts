import { Op, type Transaction } from 'sequelize';
import type { Database } from './database';
import type { Row, TableName } from './models';

/** Rows read at once: few of those that are large. */
const ROWS_AT_ONCE: Partial<Record<TableName, number>> = { benchLogColumn: 50, benchTrials: 50 };
const USUAL_ROWS_AT_ONCE = 500;

/** The rows of a table in the order of its key; a page begins behind the key that the one before it ended with. */
export async function* pagesOf(
  db: Database,
  name: TableName,
  transaction: Transaction,
): AsyncGenerator<Row[]> {
  const limit = ROWS_AT_ONCE[name] ?? USUAL_ROWS_AT_ONCE;
  const model = db.models[name];
  const [key = 'id', ...more] = model.primaryKeyAttributes;
  let last: unknown = null;
  for (let offset = 0; ; offset += limit) {
    const rows = await model.findAll({
      order: [key, ...more],
      limit,
      // Keys of several columns have no simple “behind”, and their tables are small.
      ...(more.length > 0 ? { offset } : last !== null && { where: { [key]: { [Op.gt]: last } } }),
      transaction,
    });
    yield rows;
    if (rows.length < limit) return;
    last = rows.at(-1)?.get(key);
  }
}
