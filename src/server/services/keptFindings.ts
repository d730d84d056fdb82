import { seriesFindings, type SeriesFindings } from '../../core/runs/findings';
import { toLoggedRun } from '../../formats/runs/loggedRun';
import type { SavedSeries } from '../../formats/records';
import {
  packed,
  placedEnd,
  unpacked,
  type PackedEnd,
  type PlacedEnd,
} from '../../formats/runs/runEnd';
import type { TeamDatabase } from '../database';
import { log } from '../log';
import { frozenOf } from '../stores/frozen';
import { listRuns } from '../stores/runs';
import { runStates, stateOf } from './seriesState';

/** What is kept of a series: what it says, and where its runs ended. */
interface Kept {
  findings: SeriesFindings;
  ends: PlacedEnd[];
}

async function computed(db: TeamDatabase, series: SavedSeries): Promise<Kept> {
  const [frozen, runs] = await Promise.all([frozenOf(db, series), listRuns(db, series.id)]);
  const heading = frozen?.target.headingRad ?? 0;
  return {
    findings: seriesFindings(heading, runs.map(toLoggedRun), series.plannedRuns),
    ends: runs.flatMap(placedEnd),
  };
}

/** Findings are kept where there is room; where there is none they are computed again. */
async function keep(db: TeamDatabase, seriesId: string, state: string, kept: Kept) {
  try {
    const ends = kept.ends.map(packed);
    await db.models.seriesFinding.upsert({ seriesId, state, findings: kept.findings, ends });
  } catch (error) {
    log.warn({ err: error, seriesId }, 'findings not kept');
  }
}

async function madeAnew(db: TeamDatabase, series: SavedSeries, state: string): Promise<Kept> {
  const kept = await computed(db, series);
  await keep(db, series.id, state, kept);
  return kept;
}

/**
 * What each of some series says: computed once, and kept by the state of its runs (a change, a set-aside and a
 * restore make another one), so that lists read sentences and not runs.
 */
export async function withFindings<S extends SavedSeries>(
  db: TeamDatabase,
  series: readonly S[],
): Promise<{ series: S; findings: SeriesFindings }[]> {
  const ids = series.map(({ id }) => id);
  const [states, rows] = await Promise.all([
    runStates(db, ids),
    db.models.seriesFinding.findAll({
      attributes: { exclude: ['ends'] },
      where: { seriesId: ids },
    }),
  ]);
  const kept = new Map(rows.map((row) => [row.get('seriesId'), row]));
  return Promise.all(
    series.map(async (one) => {
      const state = stateOf(one, states);
      const row = kept.get(one.id);
      return row?.get('state') === state
        ? { series: one, findings: row.get('findings') as SeriesFindings }
        : { series: one, findings: (await madeAnew(db, one, state)).findings };
    }),
  );
}

/** What one series says, and where its runs ended that were measured and not set aside. */
export async function findingsAndEnds(db: TeamDatabase, series: SavedSeries): Promise<Kept> {
  const [states, row] = await Promise.all([
    runStates(db, [series.id]),
    db.models.seriesFinding.findByPk(series.id),
  ]);
  const state = stateOf(series, states);
  if (row?.get('state') !== state) return madeAnew(db, series, state);
  return {
    findings: row.get('findings') as SeriesFindings,
    ends: (row.get('ends') as PackedEnd[]).map(unpacked),
  };
}
