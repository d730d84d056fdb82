import { QueryTypes } from 'sequelize';
import { describe, expect, inject, it } from 'vitest';
import { privateUrl } from '../../scripts/lib/mariadb';
import { openDatabase } from '../../src/server/database';
import { migrate, MIGRATIONS } from '../../src/server/migrate';
import { wipe } from '../support/wipe';

describe('two that start at once', () => {
  it('bring an empty database up together: each migration runs once, and nothing fails', async () => {
    const url = privateUrl(inject('home'), 'demo');
    const both = [openDatabase(url), openDatabase(url)];
    const [first] = both;
    if (first === undefined) throw new Error('no database');
    try {
      await wipe(first);
      const done = await Promise.all(both.map(migrate));
      expect(done.flat()).toEqual(MIGRATIONS.map(({ name }) => name));
      // And the newest of a list is found without reading it.
      for (const [table, column] of [
        ['route_version', 'saved_at'],
        ['still_check', 'taken_at'],
      ]) {
        const [plan] = await first.sequelize.query<{ Extra: string }>(
          `EXPLAIN SELECT MAX(${column}) FROM ${table} WHERE team_id = 'T'`,
          { type: QueryTypes.SELECT },
        );
        expect(plan?.Extra).toMatch(/optimized away|No matching min\/max row/);
      }
    } finally {
      await wipe(first);
      await Promise.all(both.map(({ sequelize }) => sequelize.close()));
    }
  });
});
