import { plannedEnd, planRoute } from '../../core/course/plan';
import { seriesFindings, type LoggedRun, type SeriesFindings } from '../../core/runs/findings';
import type {
  CourseRecord,
  RobotRecord,
  RouteRecord,
  SavedRouteVersion,
  SavedRun,
  SavedSeries,
} from '../../formats/records';
import type { Database } from '../database';
import { notFound } from '../problem';
import { findCourse } from '../stores/courses';
import { findRobot } from '../stores/robots';
import { findRoute, findVersion } from '../stores/routes';
import { listRuns } from '../stores/runs';
import { findSeries } from '../stores/series';

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

/** A stored run as the findings look at it. */
export const toLoggedRun = (run: SavedRun): LoggedRun => ({
  number: run.number,
  xM: run.endXM,
  yM: run.endYM,
  headingRad: run.endHeadingRad,
  success: run.worked,
  placedBy: run.placedBy,
  battery: run.battery,
  missions: run.missions,
  setAside: run.setAsideReason !== null,
});

export const findingsOf = (context: SeriesContext): SeriesFindings =>
  seriesFindings(targetOf(context).headingRad, context.runs.map(toLoggedRun));
