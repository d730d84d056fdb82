import type { PlannedStep } from '../../core/course/plan';
import type { Route } from '../../core/course/route';
import type { Table } from '../../core/course/table';
import { flip, mm, pathOf } from '../../ui/plan/Plan';
import styles from './CourseStation.module.css';

interface Props {
  table: Table;
  route: Route;
  plan: readonly PlannedStep[];
}

/** The planned way, dashed, with the numbers of the steps that move the robot. */
export function PlannedPath({ table, route, plan }: Props) {
  return (
    <>
      <path
        className={styles.planned}
        d={pathOf(table, [route.start, ...plan.map(({ to }) => to)])}
      />
      {plan.map(({ step, to, from }, index) =>
        step.kind === 'turn' || step.kind === 'mark' ? null : (
          <text
            key={step.id ?? index}
            className={styles.stepNumber}
            x={mm((from.xM + to.xM) / 2)}
            y={flip(table, (from.yM + to.yM) / 2) - 12}
          >
            {index + 1}
          </text>
        ),
      )}
    </>
  );
}
