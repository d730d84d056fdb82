import {
  savedSeries,
  seriesRecord,
  type SavedSeries,
  type SeriesRecord,
} from '../../formats/records';
import { type Database, inTransaction } from '../database';
import { archivedColumn } from './archived';
import { columnsOf, fromRow } from './fromRow';
import { saveVersioned, type Kept } from './versioned';

const toSaved = fromRow(savedSeries);

const seriesKept = (db: Database): Kept<SeriesRecord> => ({
  what: 'series',
  model: db.models.series,
  read: (row) => Promise.resolve(fromRow(seriesRecord)(row)),
  columns: (record) => ({ ...columnsOf(record), archivedAt: archivedColumn(record.archivedAt) }),
  atCreation: () => Promise.resolve({ startedAt: new Date() }),
});

export const saveSeries = (db: Database, record: SeriesRecord): Promise<SeriesRecord> =>
  inTransaction(db, (transaction) => saveVersioned(seriesKept(db), record, transaction));

/** All series, the newest first. */
export const listSeries = async (db: Database): Promise<SavedSeries[]> =>
  (
    await db.models.series.findAll({
      order: [['entry', 'DESC']],
    })
  ).map(toSaved);

export async function findSeries(db: Database, id: string): Promise<SavedSeries | null> {
  const row = await db.models.series.findByPk(id);
  return row && toSaved(row);
}
