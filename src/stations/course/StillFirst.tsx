import { ulid } from 'ulid';
import type { Route } from '../../core/course/route';
import {
  standsStillFirst,
  WHEN_NOT_STILL,
  withStandstill,
  type WhenNotStill,
} from '../../core/course/standsStill';
import type { Robot } from '../../core/robot/robot';
import { Button } from '../../ui/Button';
import styles from './CourseStation.module.css';

interface Props {
  route: Route;
  robot: Robot;
  onChange(route: Route): void;
}

/** Has the robot stand still before its heading is zeroed, at one press; nothing where the route does so. */
export function StillFirst({ route, robot, onChange }: Props) {
  if (standsStillFirst(route)) return null;
  return (
    <p className={styles.stillFirst}>
      Wait first until it stands still,
      {Object.entries(WHEN_NOT_STILL).map(([whenNot, words]) => (
        <Button
          key={whenNot}
          look="bare"
          onClick={() =>
            onChange(withStandstill(route, robot, whenNot as WhenNotStill, [ulid(), ulid()]))
          }
        >
          {words}
        </Button>
      ))}
    </p>
  );
}
