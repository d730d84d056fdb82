import { Op, QueryTypes, type Transaction } from 'sequelize';
import { z } from 'zod';
import { MOST_COUNTED } from '../../core/runs/bestSeries';
import {
  savedSeries,
  seriesRecord,
  type SavedSeries,
  type SeriesRecord,
} from '../../formats/records';
import { type TeamDatabase, inTransaction } from '../database';
import { Problem } from '../problem';
import { archivedColumn } from './archived';
import { freeze } from './frozen';
import { columnsOf, fromRow } from './fromRow';
import { saveVersioned, type Kept } from './versioned';

const toSaved = fromRow(savedSeries);

/** Runs were made with a route: their series does not go to another. */
async function refuseOtherRoute(
  db: TeamDatabase,
  { id, routeVersionId }: SeriesRecord,
  transaction: Transaction,
): Promise<void> {
  const row = await db.models.series.findByPk(id, {
    attributes: ['routeVersionId'],
    transaction,
    lock: true,
  });
  if (row === null || row.get('routeVersionId') === routeVersionId) return;
  if ((await db.models.run.count({ where: { seriesId: id }, transaction })) === 0) return;
  const sentence = 'expected the route that its runs were made with; begin a series of its own';
  throw new Problem(422, 'has-runs', `routeVersionId: ${sentence}`, { path: 'routeVersionId' });
}

/** Save a series within a transaction; a new one keeps what it is run on. */
export async function saveSeriesIn(
  db: TeamDatabase,
  record: SeriesRecord,
  transaction: Transaction,
): Promise<SeriesRecord> {
  if (record.version > 0) await refuseOtherRoute(db, record, transaction);
  const frozen = record.version === 0 ? await freeze(db, record.routeVersionId) : null;
  const kept: Kept<SeriesRecord> = {
    what: 'series',
    model: db.models.series,
    pointsTo: ({ routeVersionId, planId }) => [
      [db.models.routeVersion, routeVersionId],
      [db.models.runPlan, planId],
    ],
    read: (row) => Promise.resolve(fromRow(seriesRecord)(row)),
    columns: (one) => ({ ...columnsOf(one), archivedAt: archivedColumn(one.archivedAt) }),
    atCreation: () => Promise.resolve({ startedAt: new Date(), frozen }),
  };
  return saveVersioned(kept, record, transaction);
}

export const saveSeries = (db: TeamDatabase, record: SeriesRecord): Promise<SeriesRecord> =>
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
  /** Words in what was tried. */
  search?: string | undefined;
  limit: number;
}

/** In LIKE a word may hold no pattern. */
const literal = (text: string) => text.replace(/[\\%_]/g, '\\$&');

/** A page of series, the newest first: picked by their index, and only then joined with what they belong to. */
export async function seriesPage(db: TeamDatabase, wish: SeriesWish): Promise<SeriesEntry[]> {
  const { archived = false, before, routeId, search, limit } = wish;
  const rows = await db.sequelize.query<Record<string, unknown>>(
    `SELECT s.*, v.number versionNumber, r.id routeId, r.name routeName, b.name robotName
      FROM (
        SELECT id, version, route_version_id routeVersionId, trying, planned_runs plannedRuns, battery,
          table_label tableLabel, archived_at archivedAt, started_at startedAt, plan_id planId, entry
        FROM series FORCE INDEX (team_entries)
        WHERE team_id = :team AND archived_at IS ${archived ? 'NOT NULL' : 'NULL'}
          ${before === undefined ? '' : 'AND entry < :before'}
          ${routeId === undefined ? '' : 'AND route_version_id IN (SELECT id FROM route_version WHERE route_id = :routeId)'}
          ${search === undefined ? '' : 'AND trying LIKE :search'}
        ORDER BY entry DESC LIMIT :limit) s
      JOIN route_version v ON v.id = s.routeVersionId
      JOIN route r ON r.id = v.route_id
      JOIN robot b ON b.id = r.robot_id
      ORDER BY s.entry DESC`,
    {
      type: QueryTypes.SELECT,
      replacements: {
        limit,
        team: db.teamId,
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

/** How many series there are in use, and how many runs in all; one more than are counted means more. */
export async function countSeason(db: TeamDatabase): Promise<{ series: number; runs: number }> {
  const [series, counted] = await Promise.all([
    db.models.series.count({ where: { archivedAt: null } }),
    db.sequelize.query<{ runs: number }>(
      'SELECT COUNT(*) runs FROM (SELECT 1 FROM run WHERE team_id = :team LIMIT :most) some',
      { type: QueryTypes.SELECT, replacements: { most: MOST_COUNTED + 1, team: db.teamId } },
    ),
  ]);
  return { series, runs: counted[0]?.runs ?? 0 };
}

/** The series before one, in use: what a change is compared with. */
export async function seriesBefore(db: TeamDatabase, id: string): Promise<SavedSeries | null> {
  const row = await db.models.series.findByPk(id, { attributes: ['entry'] });
  const before = await db.models.series.findOne({
    where: { archivedAt: null, entry: { [Op.lt]: row?.get('entry') ?? 0 } },
    order: [['entry', 'DESC']],
  });
  return before && toSaved(before);
}

/** Whether a series of a version of a route was begun. */
export const isRun = async (db: TeamDatabase, routeVersionId: string): Promise<boolean> =>
  (await db.models.series.findOne({ attributes: ['id'], where: { routeVersionId } })) !== null;

export async function findSeries(db: TeamDatabase, id: string): Promise<SavedSeries | null> {
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
  route: `SELECT r.name, r.id routeId, COUNT(*) series, MAX(s.started_at) lastAt
    FROM series s JOIN route_version v ON v.id = s.route_version_id JOIN route r ON r.id = v.route_id
    WHERE s.team_id = :team AND s.archived_at IS NULL GROUP BY r.id, r.name`,
  tried: `SELECT s.trying name, NULL routeId, COUNT(*) series, MAX(s.started_at) lastAt
    FROM series s WHERE s.team_id = :team AND s.archived_at IS NULL GROUP BY s.trying`,
} as const;

export type GroupedBy = keyof typeof GROUPED;

/** The series in use, by route or by what was tried, those that were run last first. */
export async function seriesGroups(
  db: TeamDatabase,
  by: GroupedBy,
  limit: number,
): Promise<SeriesGroup[]> {
  const rows = await db.sequelize.query<Omit<SeriesGroup, 'lastAt'> & { lastAt: Date }>(
    `${GROUPED[by]} ORDER BY lastAt DESC LIMIT :limit`,
    { type: QueryTypes.SELECT, replacements: { limit, team: db.teamId } },
  );
  return rows.map((row) => ({ ...row, lastAt: row.lastAt.toISOString() }));
}

/**
 * The series of the same route before each of some, that is no part of a plan; none where there is none. Each is
 * found by going back from it, as a rule a few series far.
 */
export async function unplannedBefore(
  db: TeamDatabase,
  series: readonly SeriesEntry[],
): Promise<Map<string, SavedSeries>> {
  if (series.length === 0) return new Map();
  const rows = await db.sequelize.query<{ id: string; beforeId: string }>(
    `SELECT s.id, (
          SELECT p.id FROM series p FORCE INDEX (team_entries)
            STRAIGHT_JOIN route_version w ON w.id = p.route_version_id
          WHERE p.team_id = :team AND p.archived_at IS NULL AND p.entry < s.entry AND p.plan_id IS NULL
            AND w.route_id = v.route_id
          ORDER BY p.entry DESC LIMIT 1) beforeId
      FROM series s JOIN route_version v ON v.id = s.route_version_id
      WHERE s.id IN (:ids) AND s.team_id = :team AND s.archived_at IS NULL AND s.plan_id IS NULL
      HAVING beforeId IS NOT NULL`,
    { type: QueryTypes.SELECT, replacements: { ids: series.map(({ id }) => id), team: db.teamId } },
  );
  const found = await db.models.series.findAll({
    where: { id: rows.map(({ beforeId }) => beforeId) },
  });
  const byId = new Map(found.map((row) => [row.get('id'), toSaved(row)]));
  return new Map(
    rows.flatMap(({ id, beforeId }) => {
      const before = byId.get(beforeId);
      return before === undefined ? [] : [[id, before] as const];
    }),
  );
}
