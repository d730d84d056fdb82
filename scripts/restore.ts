import { existsSync, mkdirSync } from 'node:fs';
import { join } from 'node:path';
import type { Transaction } from 'sequelize';
import { checkBundle, describeCounts, openBundle, total } from '../src/server/bundle';
import { importBundle } from '../src/server/bundleImport';
import type { Database } from '../src/server/database';
import { isDatabaseError } from '../src/server/databaseError';
import { linesOf, writeBundle } from './lib/bundleFile';
import { elsewhereUrl } from './lib/elsewhere';
import { withData } from './lib/openData';
import type { Data } from './lib/mariadb';
import { home } from './lib/paths';
import { findRunning, noteRunning } from './lib/running';
import { main, say, Sentence } from './lib/sentence';

/** So many rows from one word of progress to the next. */
const ROWS_BETWEEN = 20_000;

async function keepBeside(db: Database, data: Data, transaction: Transaction): Promise<void> {
  if ((await db.models.team.count({ transaction })) === 0) return;
  mkdirSync(home, { recursive: true });
  const now = new Date().toISOString().replaceAll(':', '-');
  const kept = join(home, `before-restore-${now}.jsonl`);
  await writeBundle(db, data, kept, (work) => work(transaction));
  say(`What was there is kept in ${kept}.`);
}

/** Data from a backup, in place of what is there; that is kept beside as a backup of its own. */
main(async () => {
  const [file = '', ...options] = process.argv.slice(2);
  if (!existsSync(file)) throw new Sentence(`There is no file ${file}.`);
  // Every record is looked at before anything is written.
  const { head, counts } = await checkBundle(await openBundle(linesOf(file)));
  await withData(head.data, async (db) => {
    if ((await db.models.team.count()) > 0) {
      if (head.data === 'demo' && elsewhereUrl() !== undefined && !options.includes('--yes')) {
        throw new Sentence(
          `${file} holds demo data, and the database of CORVAT_DATABASE_URL has data in it, a team's own for all that Corvat knows: they would be replaced. If that is meant, say so: ./corvat restore ${file} --yes`,
        );
      }
      if (total(counts) === 0 && !options.includes('--yes')) {
        throw new Sentence(
          `${file} is an empty backup: it would take everything away. If that is meant, say so: ./corvat restore ${file} --yes`,
        );
      }
    }
    try {
      let said = 0;
      await importBundle(db, await openBundle(linesOf(file)), {
        // What is saved until now is in it; what is saved from now on comes after the restored data.
        before: (transaction) => keepBeside(db, head.data, transaction),
        onProgress: (rows) => {
          if (rows - said < ROWS_BETWEEN) return;
          said = rows;
          say(`… ${rows} of ${total(counts)} rows`);
        },
      });
    } catch (error) {
      if (!isDatabaseError(error)) throw error;
      throw new Sentence(
        `The records in ${file} do not fit together (${error.name}). Nothing was changed: what was there is still there.`,
      );
    }
  });
  if (findRunning(home) === undefined) noteRunning(home, { pid: 0, data: head.data, url: '' });
  const command = head.data === 'demo' ? 'demo' : 'start';
  say(`Restored from ${file}: ${describeCounts(counts)}. See it with ./corvat ${command}.`);
});
