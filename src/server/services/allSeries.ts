import type { Database } from '../database';
import { listCourses } from '../stores/courses';
import { listRobots } from '../stores/robots';
import { listRoutes, listVersions } from '../stores/routes';
import { listRuns } from '../stores/runs';
import { listSeries } from '../stores/series';
import type { SeriesContext } from './seriesContext';

/**
 * Every series with everything that it points to, the newest first, in one round of queries.
 *
 * @param archived those that were put out of the way instead of those in use
 */
export async function allSeries(db: Database, archived = false): Promise<SeriesContext[]> {
  const [series, versions, routes, courses, robots, runs] = await Promise.all([
    listSeries(db),
    listVersions(db),
    listRoutes(db),
    listCourses(db),
    listRobots(db),
    listRuns(db),
  ]);
  const wanted = series.filter(({ archivedAt }) => (archivedAt !== null) === archived);
  return wanted.flatMap((one): SeriesContext[] => {
    const version = versions.find(({ id }) => id === one.routeVersionId);
    const route = routes.find(({ id }) => id === version?.routeId);
    const course = courses.find(({ id }) => id === route?.courseId);
    const robot = robots.find(({ id }) => id === route?.robotId);
    return version && route && course && robot
      ? [
          {
            series: one,
            version,
            route,
            course,
            robot,
            runs: runs.filter(({ seriesId }) => seriesId === one.id),
          },
        ]
      : [];
  });
}
