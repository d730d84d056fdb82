import { compareSentence } from '../../core/compare/sentence';
import type { Answer } from '../../core/compare/compareSeries';
import type { Database } from '../database';
import { log } from '../log';
import { seriesPage, type SeriesEntry } from '../stores/series';
import { compared } from './comparison';
import { planFindings, planSoFar } from './runPlan';
import { runStates, stateOf } from './seriesState';

/** What one series says against the one before it. */
interface AgainstBefore {
  sentence: string;
  verdict: Answer | null;
  /** In what else they differ; null where in nothing. */
  unfair: string | null;
  isFair: boolean;
}

/** What a change did: a series against the one of its route before it, or a plan of runs. */
export interface ChangeDone extends AgainstBefore {
  id: string;
  /** What was tried. */
  trying: string;
  startedAt: string;
  /** What it is compared with; null for a plan, which compares its own ways. */
  before: string | null;
  href: string;
}

/** The series of the same route before one, that is no part of a plan. */
async function beforeIt(db: Database, { routeId, entry }: SeriesEntry) {
  const [before] = await seriesPage(db, { routeId, before: entry, unplanned: true, limit: 1 });
  return before ?? null;
}

async function computed(db: Database, before: string, series: string): Promise<AgainstBefore> {
  const { comparison, unfair, isFair } = await compared(
    db,
    { of: 'series', id: before },
    { of: 'series', id: series },
  );
  return {
    sentence: compareSentence(comparison),
    verdict: comparison?.verdict ?? null,
    unfair: comparison === null ? null : unfair,
    isFair,
  };
}

/** Computed once, and kept by the state of the runs of both, where there is room. */
async function againstBefore(
  db: Database,
  before: SeriesEntry,
  series: SeriesEntry,
): Promise<AgainstBefore> {
  const states = await runStates(db, [before.id, series.id]);
  const state = `${before.id} ${stateOf(before, states)} ${stateOf(series, states)}`;
  const row = await db.models.seriesComparison.findByPk(series.id);
  if (row?.get('state') === state) return row.get('comparison') as AgainstBefore;
  const comparison = await computed(db, before.id, series.id);
  try {
    await db.models.seriesComparison.upsert({ seriesId: series.id, state, comparison });
  } catch (error) {
    log.warn({ err: error, seriesId: series.id }, 'comparison not kept');
  }
  return comparison;
}

async function ofPlan(db: Database, series: SeriesEntry): Promise<ChangeDone[]> {
  const found = await planSoFar(db, series.planId);
  // Told once, at the last of its series.
  if (found === null || found.plan.seriesIds.at(-1) !== series.id) return [];
  const { sentences } = await planFindings(db, found);
  return [
    {
      id: found.plan.id,
      trying: `Plan: ${found.plan.changes.join(' and ')}`,
      startedAt: series.startedAt,
      before: null,
      href: `/findings/plan?plan=${found.plan.id}`,
      sentence: sentences[0] ?? '',
      verdict: null,
      unfair: null,
      isFair: true,
    },
  ];
}

async function ofSeries(db: Database, series: SeriesEntry): Promise<ChangeDone[]> {
  if (series.planId !== null) return ofPlan(db, series);
  const before = await beforeIt(db, series);
  if (before === null) return [];
  const { id, trying, startedAt } = series;
  return [
    {
      id,
      trying,
      startedAt,
      before: before.trying,
      href: `/findings/compare?a.series=${before.id}&b.series=${id}`,
      ...(await againstBefore(db, before, series)),
    },
  ];
}

/** What each of some series says against what was before it, in their order. */
export async function changesDone(
  db: Database,
  page: readonly SeriesEntry[],
): Promise<ChangeDone[]> {
  const told: ChangeDone[] = [];
  for (const series of page) told.push(...(await ofSeries(db, series)));
  return told;
}
