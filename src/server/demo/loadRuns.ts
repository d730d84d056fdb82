import type { Route } from '../../core/course/route';
import type { Robot } from '../../core/robot/robot';
import type { SeriesRecord } from '../../formats/records';
import type { TeamDatabase } from '../database';
import { importRuns } from '../stores/runs';
import { demoId } from './ids';
import { demoRuns } from './runs';
import type { DemoSeries } from './scenario';

/** The runs of a series that is saved, as they were made. */
export async function loadRuns(
  db: TeamDatabase,
  series: DemoSeries,
  version: { route: Route; robot: Robot },
  number: number,
): Promise<void> {
  const id = demoId('S', number);
  await db.models.series.update({ startedAt: series.day }, { where: { id } });
  await importRuns(db, id, demoRuns(series, version, number));
}

export const seriesRecordOf = (series: DemoSeries, number: number): SeriesRecord => ({
  id: demoId('S', number),
  version: 0,
  routeVersionId: demoId('V', series.version),
  trying: series.trying,
  plannedRuns: series.planned,
  battery: series.batteryFor(0).label,
  tableLabel: series.table ?? 'table at the window',
  archivedAt: null,
  planId: series.planId ?? null,
});
