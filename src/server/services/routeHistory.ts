import { routeHistory, type HistoryRun, type RouteHistory } from '../../core/compare/routeHistory';
import { dayIn } from '../../core/text/dates';
import { teamZone } from '../../core/text/displaySettings';
import type { TeamDatabase } from '../database';
import { listRuns } from '../stores/runs';
import { seriesPage, type SeriesEntry } from '../stores/series';

/** So many of a route's last series are charted. */
const MOST_SERIES = 20;

export interface RouteSeries {
  series: SeriesEntry;
  /** Its first and its last run in the chart; null where none has a measured end. */
  place: { from: number; to: number } | null;
}

/** The last series of a route, the oldest first, and all their runs as one chart. */
export async function historyOfRoute(
  db: TeamDatabase,
  routeId: string,
): Promise<{ series: RouteSeries[]; history: RouteHistory }> {
  const page = await seriesPage(db, { routeId, limit: MOST_SERIES });
  const series = page.toReversed();
  const runs = await Promise.all(series.map(({ id }) => listRuns(db, id)));
  const measured = runs.flat().flatMap((run): HistoryRun[] =>
    run.endXM === null || run.endYM === null || run.setAsideReason !== null
      ? []
      : [
          {
            seriesId: run.seriesId,
            number: run.number,
            day: dayIn(new Date(run.happenedAt), teamZone()),
            errorM: Math.hypot(run.endXM, run.endYM),
            cause: run.cause,
            note: run.note,
          },
        ],
  );
  const placeOf = (id: string) => {
    const from = measured.findIndex(({ seriesId }) => seriesId === id);
    const to = measured.findLastIndex(({ seriesId }) => seriesId === id);
    return from < 0 ? null : { from: from + 1, to: to + 1 };
  };
  return {
    series: series.map((one) => ({ series: one, place: placeOf(one.id) })),
    history: routeHistory(measured),
  };
}
