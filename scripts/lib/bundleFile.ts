import { createReadStream } from 'node:fs';
import { open, rename, rm } from 'node:fs/promises';
import { createInterface } from 'node:readline';
import type { Transaction } from 'sequelize';
import { atOneMoment, exportLines, type BundleHeader, type Counts } from '../../src/server/bundle';
import type { Database } from '../../src/server/database';
import { TABLE_NAMES } from '../../src/server/models';

/** Lines are gathered into pieces of so many characters before they are written. */
const PIECE = 500_000;

/** Does a work in a transaction, as a rule one of its own. */
type Within = (work: (transaction: Transaction) => Promise<void>) => Promise<void>;

/**
 * All data as one file, line by line. Written beside and then renamed: a full disk leaves neither half a
 * backup under the name nor a piece of it beside.
 */
export async function writeBundle(
  db: Database,
  data: BundleHeader['data'],
  path: string,
  within: Within = (work) => atOneMoment(db, work),
): Promise<Counts> {
  const part = `${path}.part`;
  const counts = Object.fromEntries(TABLE_NAMES.map((name) => [name, 0])) as Counts;
  try {
    const file = await open(part, 'w', 0o600);
    try {
      await within(async (transaction) => {
        let piece = '';
        for await (const line of exportLines(db, data, transaction, counts)) {
          piece += `${line}\n`;
          if (piece.length < PIECE) continue;
          await file.write(piece);
          piece = '';
        }
        await file.write(piece);
      });
      await file.sync();
    } finally {
      await file.close();
    }
    await rename(part, path);
    return counts;
  } catch (error) {
    await rm(part, { force: true });
    throw error;
  }
}

/** The lines of a file, one after the other. */
export const linesOf = (path: string): AsyncIterable<string> =>
  createInterface({ input: createReadStream(path, 'utf8'), crlfDelay: Infinity });
