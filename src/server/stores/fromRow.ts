import type { z } from 'zod';
import type { Row } from '../models';

/** A row's columns as plain values, its instants as texts: what schemas read. */
export const plainRow = (row: Row): Record<string, unknown> =>
  Object.fromEntries(
    Object.entries(row.get({ plain: true })).map(([column, value]) => [
      column,
      value instanceof Date ? value.toISOString() : value,
    ]),
  );

/**
 * The record of a row, by its schema: what is no part of the record is left out, what later versions of Corvat ask
 * for besides is filled in.
 */
export const fromRow =
  <Schema extends z.ZodType>(schema: Schema) =>
  (row: Row): z.output<Schema> =>
    schema.parse(plainRow(row));

/** A record's columns for a save that gives id and version itself. */
export function columnsOf<R extends { id: string }>(record: R): Omit<R, 'id' | 'version'> {
  const { id: _id, version: _version, ...columns } = record as R & { version?: number };
  return columns as Omit<R, 'id' | 'version'>;
}
