import type { Row } from '../models';

/** When a row was archived, as records have it. */
export const archivedAtOf = (row: Row): string | null =>
  (row.get('archivedAt') as Date | null)?.toISOString() ?? null;

/** The same as a column. */
export const archivedColumn = (archivedAt: string | null): Date | null =>
  archivedAt === null ? null : new Date(archivedAt);
