import type { SavedSeries, SeriesRecord } from '../../formats/records';
import { type Database, inTransaction } from '../database';
import type { Row } from '../models';
import { archivedAtOf, archivedColumn } from './archived';
import { saveVersioned, type Kept } from './versioned';

const toRecord = (row: Row): SeriesRecord => ({
  id: row.get('id') as string,
  version: row.get('version') as number,
  routeVersionId: row.get('routeVersionId') as string,
  trying: row.get('trying') as string,
  plannedRuns: row.get('plannedRuns') as number,
  battery: row.get('battery') as string | null,
  tableLabel: row.get('tableLabel') as string | null,
  archivedAt: archivedAtOf(row),
});

const toSaved = (row: Row): SavedSeries => ({
  ...toRecord(row),
  startedAt: (row.get('startedAt') as Date).toISOString(),
});

const seriesKept = (db: Database): Kept<SeriesRecord> => ({
  what: 'series',
  model: db.models.series,
  read: (row) => Promise.resolve(toRecord(row)),
  columns: ({ routeVersionId, trying, plannedRuns, battery, tableLabel, archivedAt }) => ({
    routeVersionId,
    trying,
    plannedRuns,
    battery,
    tableLabel,
    archivedAt: archivedColumn(archivedAt),
  }),
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
