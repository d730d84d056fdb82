import { useEffect, useState } from 'react';
import { planRoute } from '../../../core/course/plan';
import type { Route } from '../../../core/course/route';
import { routeSentence } from '../../../core/standIn/routeSentence';
import type { Robot } from '../../../core/robot/robot';
import type { Table } from '../../../core/table/table';
import { Button } from '../../../ui/Button';
import { Progress } from '../../../ui/Progress';
import { doWithStandIn } from '../../bench/standIn/standInStore';
import styles from '../CourseStation.module.css';
import { useRouteDrive } from './useRouteDrive';

interface Props {
  robot: Robot;
  table: Table;
  route: Route;
  /** The place of the step in hand in the route's list, the first 0; null for none. */
  upTo: number | null;
}

/** The stand-in drives the route, on the plan and with what its sensors read there: how it came out. */
export function StandInDrive({ robot, table, route, upTo }: Props) {
  const { view, given, problem, isBegun, drive, stop } = useRouteDrive(robot, table);
  const [isFast, setFast] = useState(false);
  const now = view?.route ?? null;
  const isMoving = view?.moving === true;
  const isOver = now?.driven != null;
  useEffect(() => {
    // What it was hurried for is over: its sensors are read at their own pace again.
    if (isOver) void doWithStandIn({ do: 'set-clock', rate: 1 });
  }, [isOver]);
  const rate = isFast ? 10 : 1;
  const isOurs = now !== null && given?.fromS === now.fromS;
  return (
    <>
      <p className="faint">
        A simulated robot with errors of its own drives what is on the screen. It shows how the
        route runs, and where its sensors look; what your robot does it cannot know.
      </p>
      {now !== null && isMoving ? (
        <Progress
          label="Seconds driven"
          done={Math.round((view?.nowS ?? 0) - now.fromS)}
          total={Math.round(now.durationS)}
          onCancel={() => void stop()}
        />
      ) : (
        <div className={styles.actions}>
          <Button
            disabled={view === null || isMoving || isBegun || route.steps.length === 0}
            onClick={() => void drive(route, rate)}
          >
            Drive the route
          </Button>
          {upTo !== null && upTo + 1 < route.steps.length && (
            <Button
              disabled={view === null || isMoving || isBegun}
              onClick={() => void drive({ ...route, steps: route.steps.slice(0, upTo + 1) }, rate)}
            >
              Only up to step {upTo + 1}
            </Button>
          )}
          <label>
            <input
              type="checkbox"
              checked={isFast}
              onChange={(event) => setFast(event.target.checked)}
            />{' '}
            ten times as fast
          </label>
        </div>
      )}
      <p role="status" data-testid="stand-in-drove">
        {isOurs && now.driven !== null && routeSentence(now.driven, endOf(given.route))}
      </p>
      {problem !== null && <p role="alert">{problem}</p>}
    </>
  );

  function endOf(driven: Route) {
    return planRoute(driven, robot, table).at(-1)?.to ?? driven.start;
  }
}
