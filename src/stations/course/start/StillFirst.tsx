import { ulid } from 'ulid';
import type { Route } from '../../../core/course/route';
import {
  offersStandstill,
  STILL_WITHIN_S,
  WHEN_NOT_STILL,
  withStandstill,
  type WhenNotStill,
} from '../../../core/course/standsStill';
import type { Robot } from '../../../core/robot/robot';
import { QUANTITIES } from '../../../core/quantities/quantities';
import { Button } from '../../../ui/Button';
import styles from '../CourseStation.module.css';

interface Props {
  route: Route;
  robot: Robot;
  onChange(route: Route): void;
}

/** Has the robot stand still before its heading is zeroed, at one press; nothing where the route does so. */
export function StillFirst({ route, robot, onChange }: Props) {
  if (!offersStandstill(route, robot)) return null;
  return (
    <div className={styles.stillFirst}>
      <span>Stand still first; if it does not in {QUANTITIES.time.text(STILL_WITHIN_S)}:</span>
      {Object.entries(WHEN_NOT_STILL).map(([whenNot, words]) => (
        <Button
          key={whenNot}
          aria-label={`Wait first until it stands still, else ${words}`}
          onClick={() =>
            onChange(withStandstill(route, robot, whenNot as WhenNotStill, [ulid(), ulid()]))
          }
        >
          {words}
        </Button>
      ))}
    </div>
  );
}
