import { QueryTypes, type Transaction } from 'sequelize';
import type { Database } from './database';
import { isWorthAnotherTry } from './databaseError';
import { TABLE_NAMES } from './models';

/** Somebody saves at the same moment: so many tries to get hold of all tables. */
const TRIES = 20;

/** Every row is held, and every gap between them: whoever saves waits until this is over. */
async function holdRows({ sequelize, models }: Database, transaction: Transaction): Promise<void> {
  for (const name of TABLE_NAMES) {
    const table = models[name].getTableName() as string;
    const sql = `SELECT COUNT(*) FROM \`${table}\` FOR UPDATE`;
    await sequelize.query(sql, { type: QueryTypes.SELECT, transaction });
  }
}

async function beginHolding(db: Database): Promise<Transaction> {
  for (let attempt = 1; ; attempt += 1) {
    const transaction = await db.sequelize.transaction();
    try {
      await holdRows(db, transaction);
      return transaction;
    } catch (error) {
      await transaction.rollback();
      if (attempt === TRIES || !isWorthAnotherTry(error)) throw error;
    }
  }
}

/**
 * Work on all data in one transaction while nobody else can save: what they save meanwhile comes after it. The work
 * is done once.
 */
export async function holdingAll(
  db: Database,
  work: (transaction: Transaction) => Promise<void>,
): Promise<void> {
  const transaction = await beginHolding(db);
  try {
    await work(transaction);
    await transaction.commit();
  } catch (error) {
    await transaction.rollback();
    throw error;
  }
}
