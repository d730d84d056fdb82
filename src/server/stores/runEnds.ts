import { QueryTypes } from 'sequelize';
import type { LoggedEnd } from '../../formats/runs/runEnd';
import type { TeamDatabase } from '../database';

type EndRow = Omit<LoggedEnd, 'happenedAt' | 'worked'> & {
  happenedAt: Date;
  worked: number | null;
};

/** Of the team's runs that were asked for by a condition of one's own, with its order and limit. */
export async function runEnds(
  db: TeamDatabase,
  rest: string,
  replacements: Record<string, unknown>,
): Promise<LoggedEnd[]> {
  const rows = await db.sequelize.query<EndRow>(
    `SELECT id, series_id seriesId, number, happened_at happenedAt, placed_by placedBy, battery,
        end_x_m endXM, end_y_m endYM, worked, set_aside_reason setAsideReason
      FROM run WHERE team_id = :team AND ${rest}`,
    { type: QueryTypes.SELECT, replacements: { ...replacements, team: db.teamId } },
  );
  return rows.map(({ happenedAt, worked, ...row }) => ({
    ...row,
    happenedAt: happenedAt.toISOString(),
    worked: worked === null ? null : worked !== 0,
  }));
}
