import { QueryTypes } from 'sequelize';
import type { PlacedEnd, RunEnd } from '../../formats/runEnd';
import type { Database } from '../database';

type EndRow = Omit<RunEnd, 'happenedAt' | 'worked'> & { happenedAt: Date; worked: number | null };

const workedFrom = (value: number | null): boolean | null => (value === null ? null : value !== 0);

/** Of runs that were read by a statement of one's own: `WHERE …` with its order and limit. */
export async function runEnds(
  db: Database,
  rest: string,
  replacements: Record<string, unknown>,
): Promise<RunEnd[]> {
  const rows = await db.sequelize.query<EndRow>(
    `SELECT id, series_id seriesId, number, happened_at happenedAt, placed_by placedBy, battery,
        end_x_m endXM, end_y_m endYM, worked, set_aside_reason setAsideReason
      FROM run ${rest}`,
    { type: QueryTypes.SELECT, replacements },
  );
  return rows.map(({ happenedAt, worked, ...row }) => ({
    ...row,
    happenedAt: happenedAt.toISOString(),
    worked: workedFrom(worked),
  }));
}

/** Where the runs of a series ended that were measured and not set aside, in their order. */
export async function endsOfSeries(db: Database, seriesId: string): Promise<PlacedEnd[]> {
  const rows = await db.sequelize.query<Omit<PlacedEnd, 'worked'> & { worked: number | null }>(
    `SELECT number, end_x_m endXM, end_y_m endYM, worked FROM run
      WHERE series_id = :seriesId AND end_x_m IS NOT NULL AND set_aside_reason IS NULL
      ORDER BY number`,
    { type: QueryTypes.SELECT, replacements: { seriesId } },
  );
  return rows.map((row) => ({ ...row, worked: workedFrom(row.worked) }));
}
