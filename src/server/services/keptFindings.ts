import { createHash } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { seriesFindings, type SeriesFindings } from '../../core/runs/findings';
import { teamManner } from '../../core/text/manner';
import { toLoggedRun } from '../../formats/loggedRun';
import type { SavedSeries } from '../../formats/records';
import type { Database } from '../database';
import { log } from '../log';
import { frozenOf } from '../stores/frozen';
import { listRuns } from '../stores/runs';

/** Of the findings that are kept: another one, and they are made anew. */
const FORMAT = 1;

interface RunState {
  seriesId: string;
  runs: number;
  versions: number;
}

/** How many runs each series has, and how often they were changed: any change makes it another. */
async function runStates(db: Database, ids: readonly string[]): Promise<Map<string, RunState>> {
  if (ids.length === 0) return new Map();
  const rows = await db.sequelize.query<RunState>(
    `SELECT series_id seriesId, COUNT(*) runs, CAST(SUM(version) AS UNSIGNED) versions
      FROM run WHERE series_id IN (:ids) GROUP BY series_id`,
    { type: QueryTypes.SELECT, replacements: { ids } },
  );
  return new Map(rows.map((row) => [row.seriesId, row]));
}

/** From what findings follow, besides what never changes: their sentences are said in the team's manner. */
function stateOf({ id, version }: SavedSeries, states: ReadonlyMap<string, RunState>): string {
  const { runs = 0, versions = 0 } = states.get(id) ?? {};
  const manner = createHash('sha256').update(JSON.stringify(teamManner())).digest('hex');
  return [FORMAT, version, runs, versions, manner.slice(0, 16)].join('.');
}

async function computed(db: Database, series: SavedSeries): Promise<SeriesFindings> {
  const [frozen, runs] = await Promise.all([frozenOf(db, series), listRuns(db, series.id)]);
  return seriesFindings(frozen?.target.headingRad ?? 0, runs.map(toLoggedRun), series.plannedRuns);
}

/** Findings are kept where there is room; where there is none they are computed again. */
async function keep(db: Database, seriesId: string, state: string, findings: SeriesFindings) {
  try {
    await db.models.seriesFinding.upsert({ seriesId, state, findings });
  } catch (error) {
    log.warn({ err: error, seriesId }, 'findings not kept');
  }
}

/**
 * What each of some series says: computed once, and kept by the state of its runs (a change, a set-aside and a
 * restore make another one), so that lists read sentences and not runs.
 */
export async function withFindings<S extends SavedSeries>(
  db: Database,
  series: readonly S[],
): Promise<{ series: S; findings: SeriesFindings }[]> {
  const ids = series.map(({ id }) => id);
  const [states, rows] = await Promise.all([
    runStates(db, ids),
    db.models.seriesFinding.findAll({ where: { seriesId: ids } }),
  ]);
  const kept = new Map(rows.map((row) => [row.get('seriesId'), row]));
  return Promise.all(
    series.map(async (one) => {
      const state = stateOf(one, states);
      const row = kept.get(one.id);
      if (row?.get('state') === state) {
        return { series: one, findings: row.get('findings') as SeriesFindings };
      }
      const findings = await computed(db, one);
      await keep(db, one.id, state, findings);
      return { series: one, findings };
    }),
  );
}
