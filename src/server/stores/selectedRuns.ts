import { QueryTypes } from 'sequelize';
import { z } from 'zod';
import { boundsOf, isSelected, type Selection } from '../../formats/runs/selection';
import type { LoggedEnd } from '../../formats/runs/runEnd';
import type { TeamDatabase } from '../database';
import { notFound } from '../problem';
import { frozenOf } from './frozen';
import { runEnds } from './runEnds';

/** More runs than this are not compared: those that were made last are. */
export const MOST_SELECTED = 1000;
const MOST_SERIES = 200;
/** Instants that a database can hold, for a selection that says none. */
const EARLIEST_MS = Date.UTC(1900, 0, 1);
const LATEST_MS = Date.UTC(9999, 0, 1);

const head = z.object({
  id: z.string(),
  routeVersionId: z.string(),
  trying: z.string(),
  tableLabel: z.string().nullable(),
  versionNumber: z.number(),
  versionNote: z.string(),
  routeName: z.string(),
  robotName: z.string(),
  courseName: z.string(),
  /** In which its runs were planned to end; null where it keeps nothing of it yet. */
  headingRad: z.coerce.number().nullable(),
});

export type SelectedSeries = z.output<typeof head>;

const HEADS = `SELECT s.id, s.route_version_id routeVersionId, s.trying, s.table_label tableLabel,
    v.number versionNumber, v.note versionNote, w.name routeName, b.name robotName, c.name courseName,
    JSON_VALUE(s.frozen, '$.target.headingRad') headingRad
  FROM series s
  STRAIGHT_JOIN route_version v ON v.id = s.route_version_id
  STRAIGHT_JOIN route w ON w.id = v.route_id
  STRAIGHT_JOIN robot b ON b.id = w.robot_id
  STRAIGHT_JOIN course c ON c.id = w.course_id`;

/** Series by a condition, the newest first, as an index has them. */
async function headsWhere(db: TeamDatabase, condition: string, value: unknown) {
  const rows = await db.sequelize.query<Record<string, unknown>>(
    `${HEADS} WHERE ${condition} AND s.team_id = ? ORDER BY s.entry DESC LIMIT ${MOST_SERIES}`,
    { type: QueryTypes.SELECT, replacements: [value, db.teamId] },
  );
  return rows.map((row) => head.parse(row));
}

/** The series that a selection names, with or without runs; the last 200 of them. */
const CONDITION: Record<Selection['of'], string> = {
  series: 's.id = ?',
  version: 's.route_version_id = ?',
  route: 'v.route_id = ?',
};

export interface SelectedRun {
  run: LoggedEnd;
  series: SelectedSeries;
  headingRad: number;
}

export interface Selected {
  /** What it is of, in words: what was tried, or a version, or a route. */
  name: string;
  /** Those that the selection means, in the order in which they were made, without those set aside. */
  runs: SelectedRun[];
  /** Whoever placed the robot and whatever battery was in it, in all that it is of. */
  people: string[];
  batteries: string[];
}

function nameOf(
  of: Selection['of'],
  { trying, routeName, versionNumber, versionNote }: SelectedSeries,
) {
  if (of === 'series') return trying;
  if (of === 'route') return `all runs of ${routeName}`;
  return `${routeName}, version ${versionNumber}${versionNote === '' ? '' : `: ${versionNote}`}`;
}

const distinct = (values: readonly (string | null)[]): string[] =>
  [...new Set(values.filter((value) => value !== null && value !== ''))] as string[];

/** The runs of one side of a comparison: at most the last 1,000, read by series or by route. */
export async function selectedRuns(db: TeamDatabase, selection: Selection): Promise<Selected> {
  const series = await headsWhere(db, CONDITION[selection.of], selection.id);
  const [first] = series;
  if (first === undefined) throw notFound(selection.of);
  const { fromMs, beforeMs } = boundsOf(selection);
  const rows = await runEnds(
    db,
    `series_id IN (:ids) AND happened_at >= :from AND happened_at < :before
      ORDER BY happened_at DESC, number DESC LIMIT :limit`,
    {
      ids: series.map(({ id }) => id),
      from: new Date(Math.max(fromMs, EARLIEST_MS)),
      before: new Date(Math.min(beforeMs, LATEST_MS)),
      limit: MOST_SELECTED,
    },
  );
  const all = rows.toReversed();
  const byId = new Map(series.map((one) => [one.id, one]));
  const chosen = all.filter((run) => run.setAsideReason === null && isSelected(selection)(run));
  const headings = new Map<string, number>();
  for (const id of new Set(chosen.map(({ seriesId }) => seriesId))) {
    const known = byId.get(id)?.headingRad ?? null;
    const frozen = known === null ? await frozenOf(db, byId.get(id) ?? first) : null;
    headings.set(id, known ?? frozen?.target.headingRad ?? 0);
  }
  return {
    name: nameOf(selection.of, first),
    runs: chosen.map((run) => ({
      run,
      series: byId.get(run.seriesId) ?? first,
      headingRad: headings.get(run.seriesId) ?? 0,
    })),
    people: distinct(all.map(({ placedBy }) => placedBy)),
    batteries: distinct(all.map(({ battery }) => battery)),
  };
}
