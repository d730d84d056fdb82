import type { Robot } from '../../../core/robot/robot';
import type { Table } from '../../../core/table/table';
import { RobotOutline } from '../../../ui/plan/marks';
import { useStandIn } from '../../bench/standIn/useStandIn';
import { pathOf } from '../../../ui/plan/Plan';
import styles from './StandIn.module.css';

/** Where the stand-in is on the table, while it drives a route and after it. */
export function StandInOnPlan({ table, robot }: { table: Table; robot: Robot }) {
  const drive = useStandIn().view?.route;
  if (!drive) return null;
  return (
    <g className={styles.standIn} role="img" aria-label="The stand-in">
      {drive.driven && <path className={styles.way} d={pathOf(table, drive.driven.trail)} />}
      <RobotOutline table={table} pose={drive.pose} body={robot.body} />
    </g>
  );
}
