import { wrap } from '../geometry/angle';
import type { Pose } from '../geometry/pose';
import type { Robot } from '../robot/robot';
import type { Motion } from '../steps/kind';
import { inOrder, type Run } from '../steps/inOrder';
import { planStep } from '../steps/untilCondition';
import type { Route } from './route';
import type { Table } from '../table/table';

/** A motion, and what it does when everything goes as planned. Headings are kept unwrapped. */
export interface PlannedStep extends Motion, Run {
  from: Pose;
}

const outside = (pose: Pose, table: Table) =>
  pose.xM < 0 || pose.yM < 0 || pose.xM > table.widthM || pose.yM > table.heightM;

/**
 * The planned pose, distance, angle, time and time-out of each motion in the order in which they are made, and what
 * is doubtful about it.
 *
 * The distance sensor's recorded offset and scale are used for approaches; everything else is ideal.
 */
export function planRoute(route: Route, robot: Robot, table: Table): PlannedStep[] {
  let pose: Pose = route.start;
  return inOrder(route.steps).map((run) => {
    const motion = planStep(run.step, pose, robot, table);
    const planned = { ...run, from: pose, ...motion };
    pose = planned.to;
    if (outside(pose, table)) planned.problems.push('off-table');
    return planned;
  });
}

/** Where the route is planned to end, heading wrapped. */
export function plannedEnd(route: Route, plan: readonly PlannedStep[]): Pose {
  const last = plan.at(-1)?.to ?? route.start;
  return { ...last, headingRad: wrap(last.headingRad) };
}

/** Planned time of the whole route in seconds. */
export const plannedDurationS = (plan: readonly PlannedStep[]): number =>
  plan.reduce((sum, planned) => sum + planned.durationS, 0);
