import type { BenchTrialsRecord, TrialListEntry } from '../../formats/benchRecords';
import type { RobotRoute } from '../../formats/robotRoute';
import type { TeamDatabase } from '../database';
import { findTrials, listTrials } from '../stores/benchTrials';
import { listCourses } from '../stores/courses';
import { listRoutes, newestVersions } from '../stores/routes';

/** The routes of a robot, each as it was saved last. */
export async function routesOfRobot(db: TeamDatabase, robotId: string): Promise<RobotRoute[]> {
  const [routes, courses] = await Promise.all([listRoutes(db, robotId), listCourses(db)]);
  const versions = await newestVersions(
    db,
    routes.map(({ id }) => id),
  );
  return routes.flatMap(({ id, name, courseId }) => {
    const version = versions.find(({ routeId }) => routeId === id);
    const course = courses.find((one) => one.id === courseId);
    return version && course ? [{ routeId: id, name, version, table: course.table }] : [];
  });
}

type Procedure = BenchTrialsRecord['procedure'];

/** The lists of trials of a robot; the wished one in full, or else the one that was begun last. */
export async function trialLists<P extends Procedure>(
  db: TeamDatabase,
  robotId: string,
  procedure: P,
  wished: string | null,
): Promise<{ lists: TrialListEntry[]; open: Extract<BenchTrialsRecord, { procedure: P }> | null }> {
  const lists = await listTrials(db, robotId, procedure);
  const newest = lists.find(({ archivedAt }) => archivedAt === null)?.id;
  const id = lists.some((list) => list.id === wished) ? wished : newest;
  const open = id == null ? null : await findTrials(db, robotId, procedure, id);
  return { lists, open: open as Extract<BenchTrialsRecord, { procedure: P }> | null };
}
