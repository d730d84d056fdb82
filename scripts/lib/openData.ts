import { openDatabase, type Database } from '../../src/server/database';
import { migrate } from '../../src/server/migrate';
import { elsewhereUrl, sentenceFor } from './elsewhere';
import { privateUrl, startMariadb, type Data } from './mariadb';
import { home } from './paths';
import { findRunning } from './running';

/**
 * Work on the data of this folder: through the database that runs, or one started for the while.
 */
export async function withData(data: Data, work: (db: Database) => Promise<void>): Promise<void> {
  const elsewhere = elsewhereUrl();
  const borrowed = elsewhere !== undefined || findRunning(home) !== undefined;
  const own = borrowed ? undefined : await startMariadb(home);
  const db = openDatabase(elsewhere ?? privateUrl(home, data));
  try {
    await migrate(db).catch((error: unknown) => {
      throw sentenceFor(error);
    });
    await work(db);
  } finally {
    await db.sequelize.close();
    await own?.stop();
  }
}
