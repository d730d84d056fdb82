import { fn, col } from 'sequelize';
import { runPlanRecord, type PlanStart, type RunPlanRecord } from '../../formats/runs/runPlan';
import { inTransaction, type TeamDatabase } from '../database';
import type { Row } from '../models';
import { keepForGood, type KeptForGood } from './immutable';
import { saveSeriesIn } from './series';

const read = (row: Row): RunPlanRecord => runPlanRecord.parse(row.get('plan'));

/** Keep a plan for good and begin its series, all or none; the same plan sent again is the same. */
export const startPlan = (db: TeamDatabase, { plan, series }: PlanStart): Promise<RunPlanRecord> =>
  inTransaction(db, async (transaction) => {
    const kept: KeptForGood<RunPlanRecord> = {
      what: 'plan',
      model: db.models.runPlan,
      read,
      columns: (record) => ({ plan: record, madeAt: new Date() }),
    };
    const { row } = await keepForGood(kept, plan, transaction);
    for (const one of series) await saveSeriesIn(db, one, transaction);
    return read(row);
  });

export async function findPlan(db: TeamDatabase, id: string): Promise<RunPlanRecord | null> {
  const row = await db.models.runPlan.findByPk(id);
  return row && read(row);
}

/** How many runs of each of some series count. */
export async function countingRuns(
  db: TeamDatabase,
  seriesIds: readonly string[],
): Promise<number[]> {
  const rows = await db.models.run.findAll({
    attributes: ['seriesId', [fn('COUNT', col('id')), 'number']],
    where: { seriesId: [...seriesIds], setAsideReason: null },
    group: ['seriesId'],
  });
  const counts = new Map(rows.map((row) => [row.get('seriesId'), Number(row.get('number'))]));
  return seriesIds.map((id) => counts.get(id) ?? 0);
}
