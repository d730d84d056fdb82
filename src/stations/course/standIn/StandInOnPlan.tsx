import type { Route } from '../../../core/course/route';
import { asMounted, outlineOf } from '../../../core/robot/mounting';
import type { Robot } from '../../../core/robot/robot';
import type { Table } from '../../../core/table/table';
import { RobotOutline } from '../../../ui/plan/marks';
import { useStandIn } from '../../bench/standIn/useStandIn';
import { pathOf } from '../../../ui/plan/Plan';
import styles from './StandIn.module.css';

interface Props {
  table: Table;
  robot: Robot;
  route: Route;
}

/** Where the stand-in is on the table, while it drives a route and after it. */
export function StandInOnPlan({ table, robot, route }: Props) {
  const drive = useStandIn().view?.route;
  if (!drive) return null;
  return (
    <g className={styles.standIn} role="img" aria-label="The stand-in">
      {drive.driven && <path className={styles.way} d={pathOf(table, drive.driven.trail)} />}
      <RobotOutline table={table} pose={drive.pose} body={outlineOf(asMounted(robot, route))} />
    </g>
  );
}
