import { QueryTypes, type Transaction } from 'sequelize';
import { z } from 'zod';
import { savedRun } from '../../formats/records';
import { instantsOf, type RunCursor, type RunSearch } from '../../formats/runs/runSearch';
import type { Database, TeamDatabase } from '../database';

/** A run among those of all series, with the names of what it belongs to. */
export const foundRun = savedRun.extend({
  trying: z.string(),
  routeName: z.string(),
  robotName: z.string(),
});

export type FoundRun = z.output<typeof foundRun>;

type Condition = [sql: string, value: unknown];

/** Shorter words than this no index of words holds. */
const LEAST_LETTERS = 3;

/** The words of a note that are asked for, as far as they were typed. */
const wordsOf = (text: string): string[] =>
  text.match(/[\p{L}\p{N}]+/gu)?.filter((word) => word.length >= LEAST_LETTERS) ?? [];

const literal = (text: string) => text.replace(/[\\%_]/g, '\\$&');

/** What is wanted besides words, as conditions and their values. */
function conditions(teamId: string, search: RunSearch, after: RunCursor | null): Condition[] {
  const { from, before } = instantsOf(search);
  const wanted: Condition[] = [
    ['r.team_id = ?', teamId],
    ['r.route_id = ?', search.route],
    ['r.robot_id = ?', search.robot],
    ['r.placed_by = ?', search.person],
    ['r.cause = ?', search.cause],
    ['r.happened_at >= ?', from],
    ['r.happened_at < ?', before],
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

const NEWEST_FIRST = 'ORDER BY r.happened_at DESC, r.id DESC LIMIT ?';

const whereAll = (wanted: readonly Condition[]): string =>
  wanted.length === 0 ? '' : `WHERE ${wanted.map(([sql]) => sql).join(' AND ')}`;

/** A choice of runs, as a statement that gives their ids, and its values. */
interface Choice {
  sql: string;
  values: unknown[];
}

const allOf = (wanted: readonly Condition[], limit: number): Choice => ({
  sql: `SELECT r.id FROM run r ${whereAll(wanted)} ${NEWEST_FIRST}`,
  values: [...wanted.map(([, value]) => value), limit],
});

/** So many of the newest runs are looked through before the index of words is asked. */
const LOOKED_THROUGH = 1000;

/** Those with words of which the notes are read one by one: quick where the words are common. */
function amongNewest(
  wanted: readonly Condition[],
  words: readonly string[],
  limit: number,
): Choice {
  return {
    sql: `SELECT r.id FROM (
        SELECT r.id, r.happened_at, r.note FROM run r ${whereAll(wanted)} ${NEWEST_FIRST}) r
      ${whereAll(words.map((word) => ['r.note REGEXP ?', word]))} ${NEWEST_FIRST}`,
    values: [
      ...wanted.map(([, value]) => value),
      LOOKED_THROUGH,
      ...words.map((word) => `\\b${word}`),
      limit,
    ],
  };
}

/**
 * A page of single runs, the newest first, by the index that serves what is wanted. Words of notes are looked for
 * among the newest first: the index of words has to find every note with a common word before it knows the newest.
 */
export async function runsFound(
  db: TeamDatabase,
  search: RunSearch,
  after: RunCursor | null,
  limit: number,
): Promise<FoundRun[]> {
  const wanted = conditions(db.teamId, search, after);
  const { q = '' } = search;
  const words = wordsOf(q);
  if (words.length === 0) {
    const typed: Condition[] = q === '' ? [] : [['r.note LIKE ?', `%${literal(q)}%`]];
    return chosen(db, allOf([...wanted, ...typed], limit));
  }
  const newest = await chosen(db, amongNewest(wanted, words, limit));
  if (newest.length === limit) return newest;
  const inBoolean = words.map((word) => `+${word}*`).join(' ');
  const byIndex: Condition = ['MATCH (r.note) AGAINST (? IN BOOLEAN MODE)', inBoolean];
  return chosen(db, allOf([...wanted, byIndex], limit));
}

/** The runs of a choice, with the names of what they belong to. */
async function chosen(db: TeamDatabase, { sql, values }: Choice): Promise<FoundRun[]> {
  const rows = await db.sequelize.query<Record<string, unknown>>(
    `SELECT r.id, r.version, r.series_id seriesId, r.number, r.happened_at happenedAt, r.placed_by placedBy,
        r.battery, r.battery_v batteryV, r.end_x_m endXM, r.end_y_m endYM, r.end_heading_rad endHeadingRad,
        r.worked, r.missions, r.cause, r.note, r.set_aside_reason setAsideReason,
        s.trying, w.name routeName, b.name robotName
      FROM (${sql}) found
      JOIN run r ON r.id = found.id
      JOIN series s ON s.id = r.series_id
      JOIN route w ON w.id = r.route_id
      JOIN robot b ON b.id = r.robot_id
      ORDER BY r.happened_at DESC, r.id DESC`,
    { type: QueryTypes.SELECT, replacements: values },
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
