import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { describeBundle, exportBundle, importBundle, parseBundle } from '../src/server/bundle';
import { isDatabaseError } from '../src/server/databaseError';
import { withData } from './lib/openData';
import { home } from './lib/paths';
import { findRunning, noteRunning } from './lib/running';
import { main, say, Sentence } from './lib/sentence';

/** Data from a backup, in place of what is there; that is kept beside as a backup of its own. */
main(async () => {
  const file = process.argv[2] ?? '';
  if (!existsSync(file)) throw new Sentence(`There is no file ${file}.`);
  const bundle = parseBundle(readFileSync(file, 'utf8'));
  await withData(bundle.data, async (db) => {
    const before = await exportBundle(db, bundle.data);
    if (before.tables.team.length > 0) {
      mkdirSync(home, { recursive: true });
      const kept = join(home, `before-restore-${before.madeAt.replaceAll(':', '-')}.json`);
      writeFileSync(kept, `${JSON.stringify(before)}\n`, { mode: 0o600 });
      say(`What was there is kept in ${kept}.`);
    }
    try {
      await importBundle(db, bundle);
    } catch (error) {
      if (!isDatabaseError(error)) throw error;
      throw new Sentence(
        `The records in ${file} do not fit together (${error.name}). Nothing was changed: what was there is still there.`,
      );
    }
  });
  if (findRunning(home) === undefined) noteRunning(home, { pid: 0, data: bundle.data, url: '' });
  const command = bundle.data === 'demo' ? 'demo' : 'start';
  say(`Restored from ${file}: ${describeBundle(bundle)}. See it with ./corvat ${command}.`);
});
