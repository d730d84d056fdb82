import { renameSync, writeFileSync } from 'node:fs';
import { describeBundle, exportBundle } from '../src/server/bundle';
import { withData } from './lib/openData';
import { home } from './lib/paths';
import { findRunning, lastData } from './lib/running';
import { main, say } from './lib/sentence';

/** All data of what is (or was last) served, as one file. */
main(async () => {
  const file = process.argv[2] ?? '';
  const data = findRunning(home)?.data ?? lastData(home) ?? 'team';
  await withData(data, async (db) => {
    const bundle = await exportBundle(db, data);
    // Written beside and then renamed: a full disk must not leave half a backup under the name.
    writeFileSync(`${file}.part`, `${JSON.stringify(bundle)}\n`);
    renameSync(`${file}.part`, file);
    say(`Saved to ${file}: ${describeBundle(bundle)}.`);
  });
});
