import { QueryTypes } from 'sequelize';
import { openDatabase } from './database';

/** Nothing that is done under a lock takes longer. */
const WAIT_S = 600;

/**
 * Do something while no other process does it on the same database: under a lock of the database, by a name. The lock
 * belongs to a connection of its own and ends with it, however that ends; another process waits meanwhile.
 */
export async function holdingLock<T>(
  url: string,
  name: string,
  work: () => Promise<T>,
): Promise<T> {
  const { sequelize } = openDatabase(url, { pool: { max: 1, min: 1 } });
  try {
    const [row] = await sequelize.query<{ held: number | null }>(
      "SELECT GET_LOCK(CONCAT(DATABASE(), ' ', :name), :wait) AS held",
      { replacements: { name, wait: WAIT_S }, type: QueryTypes.SELECT },
    );
    if (row?.held !== 1) {
      throw new Error(`Another Corvat holds the ${name} of this database. Try again in a minute.`);
    }
    return await work();
  } finally {
    await sequelize.close();
  }
}
