import { QueryTypes, type Transaction } from 'sequelize';
import { z } from 'zod';
import { savedRun } from '../../formats/records';
import { instantsOf, type RunCursor, type RunSearch } from '../../formats/runSearch';
import type { Database } from '../database';

/** A run among those of all series, with the names of what it belongs to. */
export const foundRun = savedRun.extend({
  trying: z.string(),
  routeName: z.string(),
  robotName: z.string(),
});

export type FoundRun = z.output<typeof foundRun>;

/** Shorter words than this no index of words holds. */
const LEAST_LETTERS = 3;

/** Words of a note, each of which has to be there, as far as it was typed; null where none is long enough. */
function wordsFor(text: string): string | null {
  const words = text.match(/[\p{L}\p{N}]+/gu)?.filter((word) => word.length >= LEAST_LETTERS) ?? [];
  return words.length === 0 ? null : words.map((word) => `+${word}*`).join(' ');
}

const literal = (text: string) => text.replace(/[\\%_]/g, '\\$&');

/** What is wanted, as conditions and their values. */
function conditions(search: RunSearch, after: RunCursor | null): [string, unknown][] {
  const { from, before } = instantsOf(search);
  const { q = '' } = search;
  const words = wordsFor(q);
  const wanted: [string, unknown][] = [
    ['r.route_id = ?', search.route],
    ['r.robot_id = ?', search.robot],
    ['r.placed_by = ?', search.person],
    ['r.cause = ?', search.cause],
    ['r.happened_at >= ?', from],
    ['r.happened_at < ?', before],
    ['MATCH (r.note) AGAINST (? IN BOOLEAN MODE)', words],
    ['r.note LIKE ?', words === null && q !== '' ? `%${literal(q)}%` : null],
  ];
  const given = wanted.filter(([, value]) => value !== undefined && value !== null);
  if (after === null) return given;
  const at = new Date(after.happenedAt);
  return [
    ...given,
    // For the index; which of those of one instant are behind it is said by the second.
    ['r.happened_at <= ?', at],
    ['(r.happened_at, r.id) < (?)', [at, after.id]],
  ];
}

/** A page of single runs, the newest first, by the index that serves what is wanted. */
export async function runsFound(
  db: Database,
  search: RunSearch,
  after: RunCursor | null,
  limit: number,
): Promise<FoundRun[]> {
  const wanted = conditions(search, after);
  const rows = await db.sequelize.query<Record<string, unknown>>(
    `SELECT r.id, r.version, r.series_id seriesId, r.number, r.happened_at happenedAt, r.placed_by placedBy,
        r.battery, r.battery_v batteryV, r.end_x_m endXM, r.end_y_m endYM, r.end_heading_rad endHeadingRad,
        r.worked, r.missions, r.cause, r.note, r.set_aside_reason setAsideReason,
        s.trying, w.name routeName, b.name robotName
      FROM (
        SELECT r.id FROM run r
        ${wanted.length === 0 ? '' : `WHERE ${wanted.map(([sql]) => sql).join(' AND ')}`}
        ORDER BY r.happened_at DESC, r.id DESC LIMIT ?) found
      JOIN run r ON r.id = found.id
      JOIN series s ON s.id = r.series_id
      JOIN route w ON w.id = r.route_id
      JOIN robot b ON b.id = r.robot_id
      ORDER BY r.happened_at DESC, r.id DESC`,
    { type: QueryTypes.SELECT, replacements: [...wanted.map(([, value]) => value), limit] },
  );
  return rows.map((row) =>
    foundRun.parse({
      ...row,
      worked: row.worked === null ? null : Boolean(row.worked),
      happenedAt: (row.happenedAt as Date).toISOString(),
    }),
  );
}

/** Runs of an earlier Corvat, or of a backup of one, are told by which route and robot they are found. */
export const placeRuns = (db: Database, transaction?: Transaction): Promise<unknown> =>
  db.sequelize.query(
    `UPDATE run r
      JOIN series s ON s.id = r.series_id
      JOIN route_version v ON v.id = s.route_version_id
      JOIN route w ON w.id = v.route_id
      SET r.route_id = w.id, r.robot_id = w.robot_id
      WHERE r.route_id IS NULL`,
    { ...(transaction !== undefined && { transaction }) },
  );
