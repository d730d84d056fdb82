import type { Database } from '../../src/server/database';
import { columnName, TABLE_NAMES } from '../../src/server/models';

/** Take away every table of this version and of the ones before. */
export async function wipe(db: Database): Promise<void> {
  await db.sequelize.query('SET FOREIGN_KEY_CHECKS = 0');
  for (const name of [
    ...TABLE_NAMES.map(columnName),
    'series_finding',
    'bench_log_piece',
    'migration',
  ]) {
    await db.sequelize.query(`DROP TABLE IF EXISTS ${name}`);
  }
  await db.sequelize.query('DROP SEQUENCE IF EXISTS entry_number');
  await db.sequelize.query('SET FOREIGN_KEY_CHECKS = 1');
}
