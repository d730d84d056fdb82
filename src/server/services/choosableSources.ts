import type { Selection } from '../../formats/runs/selection';
import type { SavedSeries } from '../../formats/records';
import type { TeamDatabase } from '../database';
import { listRoutes, versionHeads } from '../stores/routes';
import { findSeries, seriesPage } from '../stores/series';

/** So many of the last series can be chosen; older ones come from their own page. */
const CHOICES = 60;

/** What the sides of a comparison can be of: the last series and those that are chosen, versions, routes. */
export async function choosableSources(db: TeamDatabase, chosen: readonly (Selection | null)[]) {
  const [last, routes, versions] = await Promise.all([
    seriesPage(db, { limit: CHOICES }),
    listRoutes(db),
    versionHeads(db),
  ]);
  const series: SavedSeries[] = [...last];
  for (const side of chosen) {
    if (side?.of !== 'series' || series.some(({ id }) => id === side.id)) continue;
    const older = await findSeries(db, side.id);
    if (older !== null) series.push(older);
  }
  const nameOf = (routeId: string) => routes.find(({ id }) => id === routeId)?.name ?? '';
  return {
    series,
    routes: routes.map(({ id, name }) => ({ id, name })),
    versions: versions.map(({ id, routeId, number, note }) => ({
      id,
      label: `${nameOf(routeId)}, version ${number}${note === '' ? '' : `: ${note}`}`,
    })),
  };
}
