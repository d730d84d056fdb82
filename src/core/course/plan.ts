import { wrap } from '../geometry/angle';
import type { Pose } from '../geometry/pose';
import type { Robot } from '../robot';
import type { Motion } from '../steps/kind';
import { kindOfStep } from '../steps/registry';
import type { Step } from '../steps/step';
import type { Route } from './route';
import type { Table } from './table';

/** A step, and what it does when everything goes as planned. Headings are kept unwrapped. */
export interface PlannedStep extends Motion {
  step: Step;
  from: Pose;
}

const outside = (pose: Pose, table: Table) =>
  pose.xM < 0 || pose.yM < 0 || pose.xM > table.widthM || pose.yM > table.heightM;

/**
 * The planned pose, distance, angle, time and time-out of each step, and what is doubtful about it.
 *
 * The distance sensor's recorded offset and scale are used for approaches; everything else is ideal.
 */
export function planRoute(route: Route, robot: Robot, table: Table): PlannedStep[] {
  let pose: Pose = route.start;
  return route.steps.map((step) => {
    const motion = kindOfStep(step).plan(step, pose, robot, table);
    const planned = { step, from: pose, ...motion };
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
