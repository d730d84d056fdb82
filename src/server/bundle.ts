import { z } from 'zod';
import type { Database } from './database';
import { inTransaction } from './database';
import { TABLE_NAMES, type TableName } from './models';

const FORMAT = 'corvat-backup';
const FORMAT_VERSION = 1;

/** Tables that every backup has; one of an earlier Corvat lacks those that came later. */
const FIRST_TABLES = new Set<TableName>([
  'team',
  'robot',
  'course',
  'mission',
  'route',
  'routeVersion',
  'series',
  'run',
]);

const rows = z.array(z.record(z.string(), z.unknown()));

const tables = z.object(
  Object.fromEntries(
    TABLE_NAMES.map((name) => [name, FIRST_TABLES.has(name) ? rows : rows.default([])]),
  ) as Record<TableName, typeof rows>,
);

const bundleSchema = z.object({
  format: z.literal(FORMAT),
  formatVersion: z.literal(FORMAT_VERSION),
  data: z.enum(['demo', 'team']),
  madeAt: z.iso.datetime(),
  tables,
});

export type Bundle = z.output<typeof bundleSchema>;

/** A bundle from the text of a file; throws an Error with a sentence when it is none. */
export function parseBundle(text: string): Bundle {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw new Error('This file is not a backup of Corvat: it is not readable as JSON.');
  }
  const parsed = bundleSchema.safeParse(value);
  if (parsed.success) return parsed.data;
  const issue = parsed.error.issues[0];
  throw new Error(
    `This file is not a backup that this Corvat can read: ${issue?.path.join('.') ?? ''}: ${issue?.message ?? ''}`,
  );
}

/** All data as one bundle, read in one transaction so that it fits together. */
export const exportBundle = (db: Database, data: Bundle['data']): Promise<Bundle> =>
  inTransaction(db, async (transaction) => {
    const rows: Partial<Bundle['tables']> = {};
    for (const name of TABLE_NAMES) {
      const found = await db.models[name].findAll({ transaction });
      rows[name] = found.map((row) => row.get({ plain: true }));
    }
    return {
      format: FORMAT,
      formatVersion: FORMAT_VERSION,
      data,
      madeAt: new Date().toISOString(),
      tables: rows as Bundle['tables'],
    };
  });

/** Put the data of a bundle in place of everything that is there, all or nothing. */
export const importBundle = (db: Database, bundle: Bundle): Promise<void> =>
  inTransaction(db, async (transaction) => {
    for (const name of TABLE_NAMES.toReversed()) {
      await db.models[name].destroy({ where: {}, transaction });
    }
    for (const name of TABLE_NAMES) {
      await db.models[name].bulkCreate(bundle.tables[name], { transaction, validate: true });
    }
  });

/** How many rows of each kind a bundle holds, in words. */
export const describeBundle = (bundle: Bundle): string =>
  TABLE_NAMES.map((name) => `${bundle.tables[name].length} ${name}`).join(', ');
