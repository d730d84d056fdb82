import { compareSentence } from '../../core/compare/sentence';
import type { Answer } from '../../core/compare/compareSeries';
import type { TeamDatabase } from '../database';
import { log } from '../log';
import type { SavedSeries } from '../../formats/records';
import { unplannedBefore, type SeriesEntry } from '../stores/series';
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

async function computed(db: TeamDatabase, before: string, series: string): Promise<AgainstBefore> {
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

/** What was kept of some series, by their id, and the state of the runs of all that is compared. */
interface Kept {
  rows: Map<string, { state: string; comparison: AgainstBefore }>;
  states: Awaited<ReturnType<typeof runStates>>;
}

async function keptOf(
  db: TeamDatabase,
  ids: readonly string[],
  beforeIds: readonly string[],
): Promise<Kept> {
  const [rows, states] = await Promise.all([
    db.models.seriesComparison.findAll({ where: { seriesId: [...ids] } }),
    runStates(db, [...new Set([...ids, ...beforeIds])]),
  ]);
  return {
    states,
    rows: new Map(
      rows.map((row) => [
        row.get('seriesId') as string,
        {
          state: row.get('state') as string,
          comparison: row.get('comparison') as AgainstBefore,
        },
      ]),
    ),
  };
}

/** Computed once, and kept by the state of the runs of both, where there is room. */
async function againstBefore(
  db: TeamDatabase,
  before: SavedSeries,
  series: SavedSeries,
  { rows, states }: Kept,
): Promise<AgainstBefore> {
  const state = `${before.id} ${stateOf(before, states)} ${stateOf(series, states)}`;
  const kept = rows.get(series.id);
  if (kept?.state === state) return kept.comparison;
  const comparison = await computed(db, before.id, series.id);
  try {
    await db.models.seriesComparison.upsert({ seriesId: series.id, state, comparison });
  } catch (error) {
    log.warn({ err: error, seriesId: series.id }, 'comparison not kept');
  }
  return comparison;
}

async function ofPlan(db: TeamDatabase, series: SeriesEntry): Promise<ChangeDone[]> {
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

/** What each of some series says against what was before it, in their order. */
export async function changesDone(
  db: TeamDatabase,
  page: readonly SeriesEntry[],
): Promise<ChangeDone[]> {
  const single = page.filter(({ planId }) => planId === null);
  const before = await unplannedBefore(db, single);
  const kept = await keptOf(
    db,
    [...before.keys()],
    [...before.values()].map(({ id }) => id),
  );
  const told: ChangeDone[] = [];
  for (const series of page) {
    const first = before.get(series.id);
    if (series.planId !== null) told.push(...(await ofPlan(db, series)));
    if (first === undefined) continue;
    const { id, trying, startedAt } = series;
    told.push({
      id,
      trying,
      startedAt,
      before: first.trying,
      href: `/findings/compare?a.series=${first.id}&b.series=${id}`,
      ...(await againstBefore(db, first, series, kept)),
    });
  }
  return told;
}
