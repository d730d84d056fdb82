import type { PlannedBranch } from '../../core/course/branches';
import type { PlannedStep } from '../../core/course/plan';
import { kindOfStep } from '../../core/steps/registry';
import { middleOfTrail, trailPoints } from '../../core/steps/trail';
import type { Route } from '../../core/course/route';
import type { Table } from '../../core/table/table';
import { flip, mm, pathOf } from '../../ui/plan/Plan';
import styles from './CourseStation.module.css';

interface Props {
  table: Table;
  route: Route;
  plan: readonly PlannedStep[];
  branches: readonly PlannedBranch[];
}

/** Beside the middle of a leg: over it, or to the right of it where it runs up or down the plan. */
function labelPlace(table: Table, planned: PlannedStep) {
  const { at, isSteep } = middleOfTrail(planned);
  return {
    x: mm(at.xM) + (isSteep ? 26 : 0),
    y: flip(table, at.yM) + (isSteep ? 10 : -14),
  };
}

/** Each motion where it is made first. */
const firstOfEach = (plan: readonly PlannedStep[]): PlannedStep[] =>
  plan.filter(({ number }, i) => plan.findIndex((one) => one.number === number) === i);

/** The planned way, dashed, and what it passes by, dotted, with the numbers of the steps that move the robot. */
export function PlannedPath({ table, route, plan, branches }: Props) {
  const passedBy = branches.flatMap(({ steps }) => steps);
  return (
    <>
      {branches.map(
        ({ path, steps }) =>
          steps[0] !== undefined && (
            <path
              key={path.join('/')}
              className={styles.passedBy}
              d={pathOf(table, [steps[0].from, ...steps.flatMap(trailPoints)])}
            />
          ),
      )}
      <path
        className={styles.planned}
        d={pathOf(table, [route.start, ...plan.flatMap(trailPoints)])}
      />
      {firstOfEach([...plan, ...passedBy]).map((planned) =>
        !kindOfStep(planned.step).drives ? null : (
          <text key={planned.step.id} className={styles.stepNumber} {...labelPlace(table, planned)}>
            {planned.number}
          </text>
        ),
      )}
    </>
  );
}
