import { col, fn, Op, QueryTypes } from 'sequelize';
import type { z } from 'zod';
import {
  routeRecord,
  savedRouteVersion,
  type RouteRecord,
  type RouteVersionRecord,
  type SavedRouteVersion,
} from '../../formats/records';
import { type TeamDatabase, inTransaction } from '../database';
import type { Row } from '../models';
import { conflict, notFound } from '../problem';
import { sameRecord } from './sameRecord';
import { archivedColumn } from './archived';
import { columnsOf, fromRow } from './fromRow';
import { saveVersioned, type Kept } from './versioned';

const toRecord = fromRow(routeRecord);
const toVersion = fromRow(savedRouteVersion);

export const routeKept = (db: TeamDatabase): Kept<RouteRecord> => ({
  what: 'route',
  model: db.models.route,
  pointsTo: ({ courseId, robotId }) => [
    [db.models.course, courseId],
    [db.models.robot, robotId],
  ],
  read: (row) => Promise.resolve(toRecord(row)),
  columns: (record) => ({ ...columnsOf(record), archivedAt: archivedColumn(record.archivedAt) }),
});

export const saveRoute = (db: TeamDatabase, record: RouteRecord): Promise<RouteRecord> =>
  inTransaction(db, (transaction) => saveVersioned(routeKept(db), record, transaction));

/** The routes of the team, or of one of its robots, in the order in which they were made. */
export const listRoutes = async (db: TeamDatabase, robotId?: string): Promise<RouteRecord[]> =>
  (
    await db.models.route.findAll({
      ...(robotId !== undefined && { where: { robotId } }),
      order: ['id'],
    })
  ).map(toRecord);

export async function findRoute(db: TeamDatabase, id: string): Promise<RouteRecord | null> {
  const row = await db.models.route.findByPk(id);
  return row && toRecord(row);
}

/** All versions of a route, the newest first. */
export const listVersions = async (
  db: TeamDatabase,
  routeId: string,
): Promise<SavedRouteVersion[]> =>
  (
    await db.models.routeVersion.findAll({
      where: { routeId },
      order: [['number', 'DESC']],
    })
  ).map(toVersion);

/** The newest version of each of some routes. */
export async function newestVersions(
  db: TeamDatabase,
  routeIds: readonly string[],
): Promise<SavedRouteVersion[]> {
  if (routeIds.length === 0) return [];
  const rows = await db.models.routeVersion.findAll({
    where: { routeId: [...routeIds] },
    attributes: ['routeId', [fn('MAX', col('number')), 'number']],
    group: ['routeId'],
  });
  const newest = rows.map((row) => ({ routeId: row.get('routeId'), number: row.get('number') }));
  return (await db.models.routeVersion.findAll({ where: { [Op.or]: newest } })).map(toVersion);
}

/** A version without its route: for choices of versions. */
const versionHead = savedRouteVersion.pick({ id: true, routeId: true, number: true, note: true });

export type VersionHead = z.output<typeof versionHead>;

/** The versions of all routes, or of one, the newest first, without what they hold. */
export const versionHeads = async (db: TeamDatabase): Promise<VersionHead[]> =>
  (
    await db.models.routeVersion.findAll({
      attributes: ['id', 'routeId', 'number', 'note'],
      order: [['number', 'DESC']],
    })
  ).map(fromRow(versionHead));

/** The newest version of each route in use that was never run. */
export const neverRun = (
  db: TeamDatabase,
): Promise<{ id: string; number: number; routeName: string }[]> =>
  db.sequelize.query(
    `SELECT v.id, v.number, r.name routeName
      FROM route r
      JOIN route_version v ON v.route_id = r.id
      WHERE r.team_id = :team AND r.archived_at IS NULL
        AND v.number = (SELECT MAX(w.number) FROM route_version w WHERE w.route_id = r.id)
        AND NOT EXISTS (SELECT 1 FROM series s WHERE s.route_version_id = v.id)
      ORDER BY r.id`,
    { type: QueryTypes.SELECT, replacements: { team: db.teamId } },
  );

export async function findVersion(db: TeamDatabase, id: string): Promise<SavedRouteVersion | null> {
  const row = await db.models.routeVersion.findByPk(id);
  return row && toVersion(row);
}

/**
 * Keep a route as it is now, for good, under the next number. The same version sent twice is one
 * version; another content under the same id is refused.
 */
export const saveVersion = (
  db: TeamDatabase,
  record: RouteVersionRecord,
): Promise<SavedRouteVersion> =>
  inTransaction(db, async (transaction) => {
    const existing = await db.models.routeVersion.findByPk(record.id, { transaction, lock: true });
    if (existing !== null) {
      const { number, savedAt, ...kept } = toVersion(existing);
      if (sameRecord(kept, record)) return { ...kept, number, savedAt };
      throw conflict('version', toVersion(existing));
    }
    // The lock on the route makes sure that two versions do not get the same number.
    const route = await db.models.route.findByPk(record.routeId, { transaction, lock: true });
    if (route === null) throw notFound('route');
    const last = await db.models.routeVersion.max<number | null, Row>('number', {
      where: { routeId: record.routeId },
      transaction,
    });
    const row = await db.models.routeVersion.create(
      { ...record, number: (last ?? 0) + 1, savedAt: new Date() },
      { transaction },
    );
    return toVersion(row);
  });
