import type { PlannedBranch } from '../../../core/course/branches';
import type { PlannedStep } from '../../../core/course/plan';
import type { Route } from '../../../core/course/route';
import type { Table } from '../../../core/table/table';
import { asMounted, outlineOf } from '../../../core/robot/mounting';
import type { Robot } from '../../../core/robot/robot';
import { Plan } from '../../../ui/plan/Plan';
import { RobotOutline } from '../../../ui/plan/marks';
import styles from './Card.module.css';
import { PlannedPath } from '../PlannedPath';

interface Props {
  table: Table;
  robot: Robot;
  route: Route;
  plan: readonly PlannedStep[];
  branches: readonly PlannedBranch[];
}

/** The planned route on the table, for the card. */
export function CardPlan({ table, robot, route, plan, branches }: Props) {
  return (
    <div className={styles.plan}>
      <Plan table={table} label="Plan of the table with the route">
        <PlannedPath {...{ table, route, plan, branches }} />
        <RobotOutline table={table} pose={route.start} body={outlineOf(asMounted(robot, route))} />
      </Plan>
    </div>
  );
}
