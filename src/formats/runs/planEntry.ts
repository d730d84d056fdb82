import { z } from 'zod';
import { amountOf, type Wish } from '../../core/compare/plan/wish';
import { wayLabels } from '../../core/compare/plan/ways';
import type { PlanStart } from './runPlan';

const change = z.string().trim().min(1, 'expected what is changed, in a few words').max(60);

/** What is typed to begin a plan of runs. */
export const planEntry = z.object({
  changes: z.array(change).min(1).max(2),
  /** The version of the route that each way drives. */
  versionIds: z.array(z.string()),
  battery: z.string().max(40),
  table: z.string().max(40),
});

export type PlanEntry = z.output<typeof planEntry>;

interface Beginning {
  planId: string;
  seriesIds: string[];
  wish: Wish;
  perSeries: number;
}

const textOrNull = (text: string) => (text.trim() === '' ? null : text.trim());
const asTitle = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** The plan and its series, as they are sent. */
export function planStartOf(entry: PlanEntry, beginning: Beginning): PlanStart {
  const { planId, seriesIds, wish, perSeries } = beginning;
  const changes = entry.changes.map((text) => text.trim());
  return {
    plan: {
      id: planId,
      formatVersion: 1,
      about: wish.about,
      amount: amountOf(wish),
      changes,
      seriesIds,
      perSeries,
    },
    series: wayLabels(changes).map((label, i) => ({
      id: seriesIds[i] ?? '',
      version: 0,
      routeVersionId: entry.versionIds[i] ?? '',
      trying: asTitle(label),
      plannedRuns: perSeries,
      battery: textOrNull(entry.battery),
      tableLabel: textOrNull(entry.table),
      archivedAt: null,
      planId,
    })),
  };
}
