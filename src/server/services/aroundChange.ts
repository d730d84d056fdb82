import { QueryTypes } from 'sequelize';
import type { Selection } from '../../formats/runs/selection';
import type { CalibrationKind } from '../../core/calibration/calibration';
import { kindOfCalibration } from '../../core/calibration/registry';
import { dayIn, clockIn } from '../../core/text/dates';
import { teamZone } from '../../core/text/displaySettings';
import type { TeamDatabase } from '../database';

/** Something that was changed about a robot, as its journals have it. */
export interface Change {
  id: string;
  robotId: string;
  robotName: string;
  what: string;
  at: string;
}

const MOST_CHANGES = 40;
/** Runs so long before and after a change are compared: older ones were made with another robot. */
const DAYS = 21;
const DAY_MS = 86_400_000;

interface Row {
  id: string;
  robotId: string;
  robotName: string;
  kind: CalibrationKind | null;
  part: string | null;
  note: string;
  at: Date;
}

/** The last changes of all robots, of what they are computed with and of their parts, the newest first. */
export async function lastChanges(db: TeamDatabase): Promise<Change[]> {
  const rows = await db.sequelize.query<Row>(
    `(SELECT c.id, c.robot_id robotId, b.name robotName, c.kind, NULL part, c.reason note, c.changed_at at
        FROM calibration_change c JOIN robot b ON b.id = c.robot_id WHERE c.team_id = :team AND c.checked = 0 ORDER BY c.entry DESC LIMIT :most)
      UNION ALL
      (SELECT c.id, c.robot_id, b.name, NULL, c.part, c.note, c.changed_at
        FROM robot_change c JOIN robot b ON b.id = c.robot_id WHERE c.team_id = :team ORDER BY c.changed_at DESC LIMIT :most)
      ORDER BY at DESC LIMIT :most`,
    { type: QueryTypes.SELECT, replacements: { most: MOST_CHANGES, team: db.teamId } },
  );
  return rows.map(({ kind, part, note, at, ...change }) => ({
    ...change,
    what: [kind === null ? part : kindOfCalibration(kind).name, note].filter(Boolean).join(': '),
    at: at.toISOString(),
  }));
}

/** On the team's clocks, to the minute. */
const local = (instant: Date): string =>
  `${dayIn(instant, teamZone())}T${clockIn(instant, teamZone())}`;

/** The route of a robot with the most runs on both sides of an instant, within three weeks; null where none has any. */
async function routeAround(db: TeamDatabase, robotId: string, at: Date): Promise<string | null> {
  const [found] = await db.sequelize.query<{ routeId: string }>(
    `SELECT routeId FROM (
        SELECT route_id routeId, SUM(happened_at < :at) runsBefore, SUM(happened_at >= :at) runsAfter
        FROM run WHERE robot_id = :robotId AND team_id = :team AND happened_at >= :from AND happened_at < :until
        GROUP BY route_id) counted
      WHERE runsBefore > 0 AND runsAfter > 0
      ORDER BY LEAST(runsBefore, runsAfter) DESC LIMIT 1`,
    {
      type: QueryTypes.SELECT,
      replacements: {
        robotId,
        team: db.teamId,
        at,
        from: new Date(at.getTime() - DAYS * DAY_MS),
        until: new Date(at.getTime() + DAYS * DAY_MS),
      },
    },
  );
  return found?.routeId ?? null;
}

/** What to compare to see what a change did: the runs of a route before it and after it; null where there are none. */
export async function sidesOf(
  db: TeamDatabase,
  { robotId, at }: Change,
): Promise<{ a: Selection; b: Selection } | null> {
  const instant = new Date(at);
  const id = await routeAround(db, robotId, instant);
  if (id === null) return null;
  const days = (n: number) => local(new Date(instant.getTime() + n * DAY_MS));
  const of = 'route' as const;
  return {
    a: { of, id, since: days(-DAYS), until: local(instant) },
    b: { of, id, since: local(instant), until: days(DAYS) },
  };
}
