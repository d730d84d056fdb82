import { plannedEnd, planRoute } from '../../core/course/plan';
import { seriesFindings, type SeriesFindings } from '../../core/runs/findings';
import { toLoggedRun } from '../../formats/loggedRun';
import type {
  CourseRecord,
  RobotRecord,
  RouteRecord,
  SavedRouteVersion,
  SavedRun,
  SavedSeries,
} from '../../formats/records';
import type { Database } from '../database';
import { notFound, Problem } from '../problem';
import { findCourse } from '../stores/courses';
import { findRobot } from '../stores/robots';
import { findRoute, findVersion } from '../stores/routes';
import { listRuns } from '../stores/runs';
import { findSeries } from '../stores/series';
import { remembered } from './remembered';

/** A series with everything that it points to. */
export interface SeriesContext {
  series: SavedSeries;
  version: SavedRouteVersion;
  route: RouteRecord;
  course: CourseRecord;
  robot: RobotRecord;
  runs: SavedRun[];
}

const required = <T>(value: T | null, what: string): T => {
  if (value === null) throw notFound(what);
  return value;
};

export async function seriesWithContext(db: Database, seriesId: string): Promise<SeriesContext> {
  const series = required(await findSeries(db, seriesId), 'series');
  const [version, runs] = await Promise.all([
    findVersion(db, series.routeVersionId),
    listRuns(db, seriesId),
  ]);
  const { routeId } = required(version, 'version');
  const route = required(await findRoute(db, routeId), 'route');
  const [course, robot] = await Promise.all([
    findCourse(db, route.courseId),
    findRobot(db, route.robotId),
  ]);
  return {
    series,
    version: required(version, 'version'),
    route,
    course: required(course, 'course'),
    robot: required(robot, 'robot'),
    runs,
  };
}

/** The pose at which the route of a series is planned to end. */
export const targetOf = ({ version, robot, course }: SeriesContext) =>
  plannedEnd(version.route, planRoute(version.route, robot.robot, course.table));

const computeFindings = remembered(
  ([headingRad, runs, plannedRuns]: Parameters<typeof seriesFindings>): SeriesFindings =>
    seriesFindings(headingRad, runs, plannedRuns),
);

export const findingsOf = (context: SeriesContext): SeriesFindings =>
  computeFindings([
    targetOf(context).headingRad,
    context.runs.map(toLoggedRun),
    context.series.plannedRuns,
  ]);

/** A series for a page, or null where the address points to none. */
export async function openSeries(
  db: Database,
  id: string | undefined,
): Promise<SeriesContext | null> {
  try {
    return await seriesWithContext(db, id ?? '');
  } catch (error) {
    if (error instanceof Problem && error.status === 404) return null;
    throw error;
  }
}
