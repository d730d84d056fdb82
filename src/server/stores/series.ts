import { Op, QueryTypes, type Transaction } from 'sequelize';
import { z } from 'zod';
import {
  savedSeries,
  seriesRecord,
  type SavedSeries,
  type SeriesRecord,
} from '../../formats/records';
import { type Database, inTransaction } from '../database';
import { archivedColumn } from './archived';
import { freeze } from './frozen';
import { columnsOf, fromRow } from './fromRow';
import { saveVersioned, type Kept } from './versioned';

const toSaved = fromRow(savedSeries);

/** Save a series within a transaction; a new one keeps what it is run on. */
export async function saveSeriesIn(
  db: Database,
  record: SeriesRecord,
  transaction: Transaction,
): Promise<SeriesRecord> {
  const frozen = record.version === 0 ? await freeze(db, record.routeVersionId) : null;
  const kept: Kept<SeriesRecord> = {
    what: 'series',
    model: db.models.series,
    read: (row) => Promise.resolve(fromRow(seriesRecord)(row)),
    columns: (one) => ({ ...columnsOf(one), archivedAt: archivedColumn(one.archivedAt) }),
    atCreation: () => Promise.resolve({ startedAt: new Date(), frozen }),
  };
  return saveVersioned(kept, record, transaction);
}

export const saveSeries = (db: Database, record: SeriesRecord): Promise<SeriesRecord> =>
  inTransaction(db, (transaction) => saveSeriesIn(db, record, transaction));

/** What a list of series shows of one, besides what its runs say. */
export const seriesEntry = savedSeries.extend({
  entry: z.number(),
  versionNumber: z.number(),
  routeId: z.string(),
  routeName: z.string(),
  robotName: z.string(),
});

export type SeriesEntry = z.output<typeof seriesEntry>;

/** Which series are wanted. */
export interface SeriesWish {
  archived?: boolean;
  /** Only those before this entry: where the page before ended. */
  before?: number | undefined;
  routeId?: string | undefined;
  /** Without those that belong to a plan of runs. */
  unplanned?: boolean;
  /** Words in what was tried. */
  search?: string | undefined;
  limit: number;
}

/** In LIKE a word may hold no pattern. */
const literal = (text: string) => text.replace(/[\\%_]/g, '\\$&');

/** A page of series, the newest first, as an index has them. */
export async function seriesPage(db: Database, wish: SeriesWish): Promise<SeriesEntry[]> {
  const { archived = false, before, routeId, search, limit } = wish;
  const rows = await db.sequelize.query<Record<string, unknown>>(
    `SELECT s.id, s.version, s.route_version_id routeVersionId, s.trying, s.planned_runs plannedRuns,
        s.battery, s.table_label tableLabel, s.archived_at archivedAt, s.started_at startedAt, s.plan_id planId, s.entry,
        v.number versionNumber, r.id routeId, r.name routeName, b.name robotName
      FROM series s
      JOIN route_version v ON v.id = s.route_version_id
      JOIN route r ON r.id = v.route_id
      JOIN robot b ON b.id = r.robot_id
      WHERE s.archived_at IS ${archived ? 'NOT NULL' : 'NULL'}
        ${before === undefined ? '' : 'AND s.entry < :before'}
        ${wish.unplanned === true ? 'AND s.plan_id IS NULL' : ''}
        ${routeId === undefined ? '' : 'AND r.id = :routeId'}
        ${search === undefined ? '' : 'AND s.trying LIKE :search'}
      ORDER BY s.entry DESC LIMIT :limit`,
    {
      type: QueryTypes.SELECT,
      replacements: {
        limit,
        ...(before !== undefined && { before }),
        ...(routeId !== undefined && { routeId }),
        ...(search !== undefined && { search: `%${literal(search)}%` }),
      },
    },
  );
  const instant = (value: unknown) => (value instanceof Date ? value.toISOString() : value);
  return rows.map((row) =>
    seriesEntry.parse({
      ...row,
      archivedAt: instant(row.archivedAt),
      startedAt: instant(row.startedAt),
    }),
  );
}

/** How many series there are in use, and how many runs in all. */
export async function countSeason(db: Database): Promise<{ series: number; runs: number }> {
  const [series, runs] = await Promise.all([
    db.models.series.count({ where: { archivedAt: null } }),
    db.models.run.count(),
  ]);
  return { series, runs };
}

/** The series before one, in use: what a change is compared with. */
export async function seriesBefore(db: Database, id: string): Promise<SavedSeries | null> {
  const row = await db.models.series.findByPk(id, { attributes: ['entry'] });
  const before = await db.models.series.findOne({
    where: { archivedAt: null, entry: { [Op.lt]: row?.get('entry') ?? 0 } },
    order: [['entry', 'DESC']],
  });
  return before && toSaved(before);
}

export async function findSeries(db: Database, id: string): Promise<SavedSeries | null> {
  const row = await db.models.series.findByPk(id);
  return row && toSaved(row);
}

/** Series in groups. */
export interface SeriesGroup {
  name: string;
  series: number;
  lastAt: string;
  /** Finds them: a route, or what was tried. */
  routeId: string | null;
}

const GROUPED = {
  route: 'SELECT r.name name, r.id routeId',
  tried: 'SELECT s.trying name, NULL routeId',
} as const;

export type GroupedBy = keyof typeof GROUPED;

/** The series in use, by route or by what was tried, those that were run last first. */
export async function seriesGroups(
  db: Database,
  by: GroupedBy,
  limit: number,
): Promise<SeriesGroup[]> {
  const rows = await db.sequelize.query<Omit<SeriesGroup, 'lastAt'> & { lastAt: Date }>(
    `${GROUPED[by]}, COUNT(*) series, MAX(s.started_at) lastAt
      FROM series s
      JOIN route_version v ON v.id = s.route_version_id
      JOIN route r ON r.id = v.route_id
      WHERE s.archived_at IS NULL
      GROUP BY ${by === 'route' ? 'r.id, r.name' : 's.trying'}
      ORDER BY lastAt DESC LIMIT :limit`,
    { type: QueryTypes.SELECT, replacements: { limit } },
  );
  return rows.map((row) => ({ ...row, lastAt: row.lastAt.toISOString() }));
}
