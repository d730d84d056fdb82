/** When a record was archived, as a column. */
export const archivedColumn = (archivedAt: string | null): Date | null =>
  archivedAt === null ? null : new Date(archivedAt);
