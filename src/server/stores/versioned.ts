import type { ModelStatic, Transaction } from 'sequelize';
import type { Row } from '../models';
import { conflict, notFound, pointsNowhere } from '../problem';
import { needParents, type PointsTo } from '../pointsTo';
import { sameRecord } from './sameRecord';

/** How one kind of record is kept: its words, its table, and both ways between row and record. */
export interface Kept<R extends { id: string; version: number }> {
  what: string;
  model: ModelStatic<Row>;
  /** The record of a row, without what the server adds (numbers, times). */
  read(row: Row, transaction: Transaction): Promise<R>;
  /** The row's columns, without id and version. */
  columns(record: R): Record<string, unknown>;
  /** The team that a record has to name as its own, where it names one. */
  isOfTeam?: string;
  /** What it belongs to. */
  pointsTo?(record: R): readonly PointsTo[];
  /** Further columns that are set once, when the row is made. */
  atCreation?(record: R, transaction: Transaction): Promise<Record<string, unknown>>;
  /** Rows of other tables that belong to the aggregate. */
  writeParts?(record: R, transaction: Transaction): Promise<void>;
}

/**
 * Save a record that its client has named and numbered: version 0 makes it, version n changes it if
 * it still has version n. The same save sent twice is the same save; anything else is a conflict that
 * carries what stands there now.
 */
export async function saveVersioned<R extends { id: string; version: number }>(
  kept: Kept<R>,
  record: R,
  transaction: Transaction,
): Promise<R> {
  const row = await kept.model.findByPk(record.id, { transaction, lock: true });
  if (row === null && record.version !== 0) throw notFound(kept.what);
  if (kept.isOfTeam !== undefined && Reflect.get(record, 'teamId') !== kept.isOfTeam) {
    throw pointsNowhere();
  }
  await needParents(kept.pointsTo?.(record) ?? [], transaction);
  if (row === null) {
    const extra = (await kept.atCreation?.(record, transaction)) ?? {};
    await kept.model.create(
      { ...kept.columns(record), ...extra, id: record.id, version: 1 },
      { transaction },
    );
    await kept.writeParts?.(record, transaction);
    return { ...record, version: 1 };
  }
  const current = await kept.read(row, transaction);
  const asCurrent = { ...record, version: current.version };
  if (current.version !== record.version) {
    const repeated = current.version === record.version + 1;
    if (repeated && sameRecord(asCurrent, current)) return current;
    throw conflict(kept.what, current);
  }
  await row.update({ ...kept.columns(record), version: current.version + 1 }, { transaction });
  await kept.writeParts?.(record, transaction);
  return { ...record, version: current.version + 1 };
}
