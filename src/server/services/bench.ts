import {
  benchTrialsRecord,
  type BenchTrialsRecord,
  type RunLogRecord,
} from '../../formats/benchRecords';
import type { RobotRecord } from '../../formats/records';
import type { RobotRoute } from '../../formats/robotRoute';
import type { Database } from '../database';
import { listTrials } from '../stores/benchTrials';
import { listCourses } from '../stores/courses';
import { listRobots } from '../stores/robots';
import { listRoutes, listVersions } from '../stores/routes';
import { frameData, type Frame } from './stationNotes';

/** What every page of the Bench needs: the frame, the robots, and the one that is worked on. */
export async function benchContext(
  db: Database,
  wished: string | null,
): Promise<{ frame: Frame; robots: RobotRecord[]; robot: RobotRecord | undefined }> {
  const [frame, robots] = await Promise.all([frameData(db), listRobots(db)]);
  return { frame, robots, robot: robots.find(({ id }) => id === wished) ?? robots[0] };
}

/** The routes of a robot, each as it was saved last. */
export async function routesOfRobot(db: Database, robotId: string): Promise<RobotRoute[]> {
  const [routes, versions, courses] = await Promise.all([
    listRoutes(db),
    listVersions(db),
    listCourses(db),
  ]);
  return routes
    .filter((route) => route.robotId === robotId)
    .flatMap(({ id, name, courseId }) => {
      // Versions come with the newest first.
      const version = versions.find(({ routeId }) => routeId === id);
      const course = courses.find((one) => one.id === courseId);
      return version && course ? [{ routeId: id, name, version, table: course.table }] : [];
    });
}

/** A recorded run that was kept, for a list. */
export interface KeptRun {
  id: string;
  name: string;
  anchors: number;
  startedAt: string;
}

/** The recorded runs of a robot, the newest first, and the wished one in full. */
export async function recordedRuns(
  db: Database,
  robotId: string,
  wished: string | null,
): Promise<{ kept: KeptRun[]; open: RunLogRecord | null }> {
  const saved = await listTrials(db, robotId, 'run-log');
  const runs = saved.flatMap((run) => (run.procedure === 'run-log' ? [run] : []));
  const found = runs.find(({ id }) => id === wished);
  const record = found === undefined ? null : benchTrialsRecord.parse(found);
  return {
    kept: runs.map(({ id, conditions, trials, startedAt }) => ({
      id,
      name: conditions.name,
      anchors: trials.length,
      startedAt,
    })),
    open: record?.procedure === 'run-log' ? record : null,
  };
}

/** The list of trials that was begun last, without what the server adds. */
export async function newestTrials(
  db: Database,
  robotId: string,
  procedure: BenchTrialsRecord['procedure'],
): Promise<BenchTrialsRecord | null> {
  const [newest] = await listTrials(db, robotId, procedure);
  return newest === undefined ? null : benchTrialsRecord.parse(newest);
}
