import type { Pose } from '../../core/geometry/pose';
import type {
  CourseRecord,
  RobotRecord,
  RouteRecord,
  SavedRouteVersion,
  SavedSeries,
} from '../../formats/records';
import type { TeamDatabase } from '../database';
import { notFound, Problem } from '../problem';
import { findCourse } from '../stores/courses';
import { findRobot } from '../stores/robots';
import { findRoute, findVersion } from '../stores/routes';
import { frozenOf } from '../stores/frozen';
import { findSeries } from '../stores/series';

/** A series with everything that it points to: table and robot as they were when it began. */
export interface SeriesContext {
  series: SavedSeries;
  version: SavedRouteVersion;
  route: RouteRecord;
  course: CourseRecord;
  robot: RobotRecord;
  /** Where its route was planned to end. */
  target: Pose;
  /** Those that held when it began. */
  calibrationIds: readonly string[];
}

const required = <T>(value: T | null, what: string): T => {
  if (value === null) throw notFound(what);
  return value;
};

export async function seriesWithContext(
  db: TeamDatabase,
  seriesId: string,
): Promise<SeriesContext> {
  const series = required(await findSeries(db, seriesId), 'series');
  const [version, frozen] = await Promise.all([
    findVersion(db, series.routeVersionId),
    frozenOf(db, series),
  ]);
  const { routeId } = required(version, 'version');
  const route = required(await findRoute(db, routeId), 'route');
  const [course, robot] = await Promise.all([
    findCourse(db, route.courseId),
    findRobot(db, route.robotId),
  ]);
  const kept = required(frozen, 'route');
  return {
    series,
    version: required(version, 'version'),
    route,
    course: { ...required(course, 'course'), table: kept.table },
    robot: { ...required(robot, 'robot'), robot: kept.robot },
    target: kept.target,
    calibrationIds: kept.calibrationIds,
  };
}

/** A series for a page, or null where the address points to none. */
export async function openSeries(
  db: TeamDatabase,
  id: string | undefined,
): Promise<SeriesContext | null> {
  try {
    return await seriesWithContext(db, id ?? '');
  } catch (error) {
    if (error instanceof Problem && error.status === 404) return null;
    throw error;
  }
}
