import { z } from 'zod';
import { wayCounts } from '../../core/compare/plan/ways';
import { MOST_PER_SERIES } from '../../core/compare/runsNeeded';
import { id } from '../fields';
import { seriesRecord } from '../records';

const change = z.string().trim().min(1, 'expected what is changed').max(60);

/** What a plan of runs is to show, in which ways, and how many runs of each: said beforehand, and never changed. */
export const runPlanRecord = z
  .object({
    id,
    formatVersion: z.literal(1).default(1),
    about: z.enum(['aim', 'spread', 'success']),
    amount: z
      .number()
      .positive()
      .max(1000)
      .describe('worth seeing: metres of aim or spread, runs of ten of success'),
    changes: z.array(change).min(1).max(2),
    /** The series of each way: without and with the change; of two changes neither, first, second, both. */
    seriesIds: z.array(id).min(2).max(4),
    perSeries: z.number().int().min(1).max(MOST_PER_SERIES),
  })
  .refine(({ changes, seriesIds }) => seriesIds.length === wayCounts(changes.length), {
    message: 'expected a series for each way: two for one change, four for two',
    path: ['seriesIds'],
  });

/** A plan and the series that it begins, one for each way. */
export const planStart = z
  .object({ plan: runPlanRecord, series: z.array(seriesRecord).min(2).max(4) })
  .refine(
    ({ plan, series }) =>
      series.length === plan.seriesIds.length &&
      series.every(
        ({ id: seriesId, planId }, i) => seriesId === plan.seriesIds[i] && planId === plan.id,
      ),
    { message: 'expected the series of the plan, in its order', path: ['series'] },
  );

export type RunPlanRecord = z.output<typeof runPlanRecord>;
export type PlanStart = z.output<typeof planStart>;
