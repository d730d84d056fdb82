import { createHash } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { displaySettings } from '../../core/text/displaySettings';
import type { SavedSeries } from '../../formats/records';
import type { TeamDatabase } from '../database';

/** Of what is kept: another one, and all of it is made anew. */
const FORMAT = 4;

interface RunState {
  seriesId: string;
  runs: number;
  versions: number;
}

/** How many runs each series has, and how often they were changed: any change makes it another. */
export async function runStates(
  db: TeamDatabase,
  ids: readonly string[],
): Promise<Map<string, RunState>> {
  if (ids.length === 0) return new Map();
  const rows = await db.sequelize.query<RunState>(
    `SELECT series_id seriesId, COUNT(*) runs, CAST(SUM(version) AS UNSIGNED) versions
      FROM run WHERE series_id IN (:ids) AND team_id = :team GROUP BY series_id`,
    { type: QueryTypes.SELECT, replacements: { ids, team: db.teamId } },
  );
  return new Map(rows.map((row) => [row.seriesId, row]));
}

/** From what findings follow, besides what never changes: their sentences are said by the team's display settings. */
export function stateOf(
  { id, version }: SavedSeries,
  states: ReadonlyMap<string, RunState>,
): string {
  const { runs = 0, versions = 0 } = states.get(id) ?? {};
  const display = createHash('sha256').update(JSON.stringify(displaySettings())).digest('hex');
  return [FORMAT, version, runs, versions, display.slice(0, 16)].join('.');
}
