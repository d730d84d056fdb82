import { dayOf } from '../../ui/dates';
import type {
  CourseRecord,
  RobotRecord,
  RouteRecord,
  SavedRouteVersion,
  SavedSeries,
} from '../../formats/records';
import styles from './SeriesHead.module.css';

interface Props {
  series: SavedSeries;
  version: SavedRouteVersion;
  route: RouteRecord;
  course: CourseRecord;
  robot: RobotRecord;
  at: 'runs' | 'findings';
}

/** What a series is: what was tried, with which robot and route, where; and the ways from here. */
export function SeriesHead({ series, version, route, course, robot, at }: Props) {
  return (
    <header className={styles.head}>
      <h1>{series.trying}</h1>
      <span className="faint">
        {robot.name}, {route.name}{' '}
        <a href={`/course/card?version=${version.id}`}>version {version.number}</a>, {course.name}
        {series.tableLabel !== null && ` (${series.tableLabel})`}, {dayOf(series.startedAt)}
      </span>
      <nav aria-label="This series">
        {at === 'runs' ? (
          <a href={`/findings/${series.id}`}>Findings</a>
        ) : (
          <a href={`/runs/${series.id}`}>Log runs</a>
        )}
        <a href={`/findings/compare?b.series=${series.id}`}>Did it help?</a>
        <a href={`/findings/route?route=${route.id}`}>All runs of the route</a>
        <a href={`/api/series/${series.id}/runs.csv`}>CSV</a>
        <a href={`/runs/${series.id}/sheet`}>Log sheet</a>
      </nav>
    </header>
  );
}
