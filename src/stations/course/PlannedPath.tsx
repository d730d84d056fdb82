import type { PlannedStep } from '../../core/course/plan';
import { kindOfStep } from '../../core/steps/registry';
import type { Pose } from '../../core/geometry/pose';
import type { Route } from '../../core/course/route';
import type { Table } from '../../core/table/table';
import { flip, mm, pathOf } from '../../ui/plan/Plan';
import styles from './CourseStation.module.css';

interface Props {
  table: Table;
  route: Route;
  plan: readonly PlannedStep[];
}

/** Beside the middle of a leg: over it, or to the right of it where it runs up or down the plan. */
function labelPlace(table: Table, from: Pose, to: Pose) {
  const steep = Math.abs(to.yM - from.yM) > Math.abs(to.xM - from.xM);
  return {
    x: mm((from.xM + to.xM) / 2) + (steep ? 26 : 0),
    y: flip(table, (from.yM + to.yM) / 2) + (steep ? 10 : -14),
  };
}

/** Each motion where it is made first. */
const firstOfEach = (plan: readonly PlannedStep[]): PlannedStep[] =>
  plan.filter(({ number }, i) => plan.findIndex((one) => one.number === number) === i);

/** The planned way, dashed, with the numbers of the steps that move the robot. */
export function PlannedPath({ table, route, plan }: Props) {
  return (
    <>
      <path
        className={styles.planned}
        d={pathOf(table, [route.start, ...plan.map(({ to }) => to)])}
      />
      {firstOfEach(plan).map(({ step, number, to, from }) =>
        !kindOfStep(step).drives ? null : (
          <text key={step.id} className={styles.stepNumber} {...labelPlace(table, from, to)}>
            {number}
          </text>
        ),
      )}
    </>
  );
}
