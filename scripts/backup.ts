import { describeCounts } from '../src/server/bundle';
import { writeBundle } from './lib/bundleFile';
import { withData } from './lib/openData';
import { home } from './lib/paths';
import { findRunning, lastData } from './lib/running';
import { main, say, Sentence } from './lib/sentence';

/** All data of what is (or was last) served, as one file. */
main(async () => {
  const file = process.argv[2] ?? '';
  if (file === '' || file.startsWith('-')) {
    throw new Sentence('Say where the backup is to be written: ./corvat backup FILE');
  }
  const data = findRunning(home)?.data ?? lastData(home) ?? 'team';
  await withData(data, async (db) => {
    try {
      const counts = await writeBundle(db, data, file);
      say(`Saved to ${file}: ${describeCounts(counts)}.`);
    } catch (error) {
      const { code } = error as NodeJS.ErrnoException;
      if (code === 'ENOSPC') {
        throw new Sentence(
          `The disk is full: there is no room for ${file}. Nothing was left behind; make room and try again.`,
        );
      }
      throw error;
    }
  });
});
