import { useState } from 'react';
import { ulid } from 'ulid';
import type {
  CourseRecord,
  RobotRecord,
  RouteRecord,
  SavedRouteVersion,
} from '../../formats/records';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Notice } from '../../ui/Notice';
import { Select } from '../../ui/fields/Select';
import { TextField } from '../../ui/fields/TextField';
import { putRecord, sentenceOf } from '../api';
import { ArchivedList } from '../ArchivedList';
import { RecordMenu } from '../RecordMenu';
import styles from './CourseStation.module.css';

interface Props {
  routes: readonly RouteRecord[];
  record: RouteRecord;
  course: CourseRecord;
  robot: RobotRecord;
  robots: readonly RobotRecord[];
  newest: SavedRouteVersion | null;
  changed: boolean;
}

function NewRouteDialog({
  course,
  robots,
  onClose,
}: Pick<Props, 'course' | 'robots'> & { onClose(): void }) {
  const [id] = useState(() => ulid());
  const [name, setName] = useState('');
  const [robotId, setRobotId] = useState(robots[0]?.id ?? '');
  const [problem, setProblem] = useState<string | null>(null);
  const save = async () => {
    const record: RouteRecord = {
      id,
      version: 0,
      courseId: course.id,
      robotId,
      name: name.trim(),
      archivedAt: null,
    };
    try {
      await putRecord('routes', record);
      location.assign(`/course?route=${id}`);
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  return (
    <Dialog
      title="New route"
      onClose={onClose}
      actions={
        <Button look="strong" disabled={name.trim() === ''} onClick={() => void save()}>
          Make the route
        </Button>
      }
    >
      <TextField label="Name" value={name} maxLength={80} onChange={setName} />
      <Select
        label="Robot"
        value={robotId}
        options={robots.map((robot) => ({ value: robot.id, label: robot.name }))}
        onChange={setRobotId}
      />
      {problem !== null && <Notice tone="fault">{problem}</Notice>}
    </Dialog>
  );
}

/** Which route, on which table, with which robot, and whether it is saved. */
export function RouteBar({ routes, record, course, robot, robots, newest, changed }: Props) {
  const [making, setMaking] = useState(false);
  return (
    <header className={styles.bar}>
      <h1>{record.name}</h1>
      <span className={changed ? styles.unsaved : 'faint'} data-testid="saved-state">
        {newest === null ? 'not saved yet' : `version ${newest.number}`}
        {changed && newest !== null ? ' with unsaved changes' : ''}
      </span>
      <span className="faint">
        {robot.name} on <a href={`/course/table?course=${course.id}`}>{course.name}</a>,{' '}
        <a href={`/course/match?course=${course.id}`}>in a match</a>
      </span>
      <nav aria-label="Routes" className={styles.routes}>
        {routes
          .filter(({ id, archivedAt }) => id !== record.id && archivedAt === null)
          .map(({ id, name }) => (
            <a key={id} href={`/course?route=${id}`}>
              {name}
            </a>
          ))}
        <Button look="bare" onClick={() => setMaking(true)}>
          + New route
        </Button>
      </nav>
      <RecordMenu
        kind="routes"
        what="route"
        record={record}
        name={{ field: 'name', value: record.name }}
      />
      <ArchivedList
        what="route"
        items={routes
          .filter(({ id, archivedAt }) => id !== record.id && archivedAt !== null)
          .map(({ id, name }) => ({ name, href: `/course?route=${id}` }))}
      />
      {making && (
        <NewRouteDialog course={course} robots={robots} onClose={() => setMaking(false)} />
      )}
    </header>
  );
}
