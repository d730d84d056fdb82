import { openDatabase } from '../../src/server/database';
import { columnName, TABLE_NAMES } from '../../src/server/models';
import { privateUrl } from '../../scripts/lib/mariadb';

const TABLES = TABLE_NAMES.map(columnName);

/** The team's own database, which a Corvat that serves demo data does not use, keeps a copy of them. */
async function inDemo(home: string, statements: string[]): Promise<void> {
  const db = openDatabase(privateUrl(home, 'demo'), { pool: { max: 1 } });
  try {
    for (const statement of ['SET FOREIGN_KEY_CHECKS = 0', ...statements])
      await db.sequelize.query(statement);
  } finally {
    await db.sequelize.close();
  }
}

export const keepDemo = (home: string): Promise<void> =>
  inDemo(
    home,
    TABLES.map((name) => `CREATE TABLE corvat.${name} AS SELECT * FROM ${name}`),
  );

/** The demo data as they were: what one file of tests did is nothing to the next. */
export const resetDemo = (home: string): Promise<void> =>
  inDemo(
    home,
    TABLES.flatMap((name) => [
      `DELETE FROM ${name}`,
      `INSERT INTO ${name} SELECT * FROM corvat.${name}`,
    ]),
  );
