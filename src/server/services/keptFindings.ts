import { seriesFindings, type SeriesFindings } from '../../core/runs/findings';
import { toLoggedRun } from '../../formats/loggedRun';
import type { SavedSeries } from '../../formats/records';
import type { Database } from '../database';
import { log } from '../log';
import { frozenOf } from '../stores/frozen';
import { listRuns } from '../stores/runs';
import { runStates, stateOf } from './seriesState';

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
