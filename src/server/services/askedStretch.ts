import { numberInRoute, stretchOf } from '../../core/course/stretch';
import type { TeamDatabase } from '../database';
import { findCourse } from '../stores/courses';
import { findRobot } from '../stores/robots';
import { findRoute, findVersion } from '../stores/routes';
import { courseCalibrations } from './courseCalibrations';

/** A version of a route on its robot, or a stretch of it that is to be tried alone, as an address asks for it. */
export async function askedStretch(db: TeamDatabase, asked: URLSearchParams) {
  const version = await findVersion(db, asked.get('version') ?? '');
  const record = version && (await findRoute(db, version.routeId));
  const [course, recorded] = record
    ? await Promise.all([findCourse(db, record.courseId), findRobot(db, record.robotId)])
    : [null, null];
  if (!version || !record || !course || !recorded) return null;
  const { robot, calibrations, all } = await courseCalibrations(db, recorded);
  const wished = (name: string) => Number(asked.get(name) ?? Number.NaN) - 1;
  const [from, to] = [wished('from'), wished('to')];
  const stretch = stretchOf(version.route, robot.robot, course.table, { from, to });
  const shift = stretch === null ? 0 : from;
  return {
    version,
    record,
    course,
    recorded,
    robot,
    calibrations,
    all,
    /** What is shown: all of it, or the stretch. */
    route: stretch ?? version.route,
    isAlone: stretch !== null,
    alone: from === to ? `step ${from + 1}` : `steps ${from + 1} to ${to + 1}`,
    /** The places of the steps that it begins and ends with, and how many there are. */
    first: shift + 1,
    last: shift + (stretch ?? version.route).steps.length,
    steps: version.route.steps.length,
    inRoute: (number: string) => numberInRoute(number, shift),
  };
}
