import type { ModelStatic, Transaction } from 'sequelize';
import type { Row } from '../models';
import { conflict } from '../problem';
import { needParents, type PointsTo } from '../pointsTo';
import { sameRecord } from './sameRecord';

/** How one kind of record that never changes is kept. */
export interface KeptForGood<R extends { id: string }> {
  what: string;
  model: ModelStatic<Row>;
  read(row: Row): R;
  columns(record: R): Record<string, unknown>;
  /** What it belongs to. */
  pointsTo?(record: R): readonly PointsTo[];
}

/**
 * Keep a record for good. The same record sent twice is one; another under the same id is refused.
 *
 * @returns the row, and whether it was made now
 */
export async function keepForGood<R extends { id: string }>(
  kept: KeptForGood<R>,
  record: R,
  transaction: Transaction,
): Promise<{ row: Row; isNew: boolean }> {
  const existing = await kept.model.findByPk(record.id, { transaction, lock: true });
  if (existing === null) {
    await needParents(kept.pointsTo?.(record) ?? [], transaction);
    const row = await kept.model.create(
      { ...kept.columns(record), id: record.id },
      { transaction },
    );
    return { row, isNew: true };
  }
  const current = kept.read(existing);
  if (!sameRecord(current, record)) throw conflict(kept.what, current);
  return { row: existing, isNew: false };
}
