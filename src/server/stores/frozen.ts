import { plannedEnd, planRoute } from '../../core/course/plan';
import { frozenSchema, type Frozen } from '../../formats/frozen';
import type { TeamDatabase } from '../database';
import { allHeld } from '../../formats/holding';
import { calibrationsOf, holdingOf } from './calibrations';
import { findCourse } from './courses';
import { findRobot } from './robots';
import { findRoute, findVersion } from './routes';

/** What a version of a route is run on now; null where it points nowhere. */
export async function freeze(db: TeamDatabase, routeVersionId: string): Promise<Frozen | null> {
  const version = await findVersion(db, routeVersionId);
  const route = version && (await findRoute(db, version.routeId));
  if (!version || !route) return null;
  const [course, robot] = await Promise.all([
    findCourse(db, route.courseId),
    findRobot(db, route.robotId),
  ]);
  if (!course || !robot) return null;
  const held = allHeld(holdingOf(await calibrationsOf(db, robot), robot));
  const plan = planRoute(version.route, robot.robot, course.table);
  return {
    target: plannedEnd(version.route, plan),
    table: course.table,
    robot: robot.robot,
    calibrationIds: held.map(({ id }) => id),
  };
}

/** What a series was run on; one of an earlier Corvat keeps from now on what stands there now. */
export async function frozenOf(
  db: TeamDatabase,
  series: { id: string; routeVersionId: string },
): Promise<Frozen | null> {
  const row = await db.models.series.findByPk(series.id, { attributes: ['id', 'frozen'] });
  const kept = row?.get('frozen') ?? null;
  if (kept !== null) return frozenSchema.parse(kept);
  const frozen = await freeze(db, series.routeVersionId);
  await row?.update({ frozen });
  return frozen;
}
