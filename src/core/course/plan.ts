import { SETTLE_S, timeoutS as timeoutFor } from '../control/settings';
import { expectedStraightS } from '../control/straight';
import { expectedTurnS } from '../control/turn';
import { isHalfTurn, turnAngle, wrap } from '../geometry/angle';
import type { Pose } from '../geometry/pose';
import type { Robot } from '../robot';
import { gapAhead } from '../simulate/ray';
import { lookingAhead } from '../units/ofRobot';
import { obstacles } from './obstacles';
import type { Table } from './table';
import type { Route, Step, StepOf } from './route';

/** Something about a step that a coach should know before any run. */
export type PlanProblem =
  | 'half-turn'
  | 'no-distance-sensor'
  | 'nothing-ahead'
  | 'already-there'
  | 'off-table'
  | 'unknown-mission';

/** What a step does when everything goes as planned. Headings are kept unwrapped. */
export interface PlannedStep {
  step: Step;
  from: Pose;
  to: Pose;
  /** Signed distance of a straight or an approach, 0 otherwise. */
  distanceM: number;
  /** Signed angle of a turn, 0 otherwise. */
  angleRad: number;
  durationS: number;
  /** After this the motors stop and the step has failed. */
  timeoutS: number;
  problems: PlanProblem[];
}

function ahead(from: Pose, distanceM: number): Pose {
  return {
    xM: from.xM + distanceM * Math.cos(from.headingRad),
    yM: from.yM + distanceM * Math.sin(from.headingRad),
    headingRad: from.headingRad,
  };
}

function planStraight(step: StepOf<'straight'>, from: Pose, robot: Robot): PlannedStep {
  const durationS = expectedStraightS(step.distanceM, step.speedMPerS, robot);
  return {
    step,
    from,
    to: ahead(from, step.distanceM),
    distanceM: step.distanceM,
    angleRad: 0,
    durationS,
    timeoutS: timeoutFor(durationS),
    problems: [],
  };
}

function planTurn(step: StepOf<'turn'>, from: Pose): PlannedStep {
  const angleRad =
    step.mode === 'by' ? step.angleRad : turnAngle(from.headingRad, step.angleRad, step.direction);
  const { rateRadPerS, leadRad } = step;
  const durationS = expectedTurnS({ school: 'stop-early', rateRadPerS, leadRad }, angleRad);
  const doubtful =
    step.mode === 'to' && step.direction === 'short' && isHalfTurn(from.headingRad, step.angleRad);
  return {
    step,
    from,
    to: { ...from, headingRad: from.headingRad + angleRad },
    distanceM: 0,
    angleRad,
    durationS,
    timeoutS: timeoutFor(durationS),
    problems: doubtful ? ['half-turn'] : [],
  };
}

function planApproach(
  step: StepOf<'approach'>,
  from: Pose,
  robot: Robot,
  table: Table,
): PlannedStep {
  const sensor = lookingAhead(robot);
  const problems: PlanProblem[] = [];
  let distanceM = 0;
  if (sensor === null) {
    problems.push('no-distance-sensor');
  } else {
    const { offsetM, scale } = sensor.behaviour;
    const gap = offsetM + scale * gapAhead(from, sensor, 0, obstacles(table));
    if (gap === Infinity) problems.push('nothing-ahead');
    else if (gap <= step.thresholdM) problems.push('already-there');
    else distanceM = (gap - step.thresholdM) / scale;
  }
  const durationS = distanceM / step.speedMPerS + 0.2 + SETTLE_S;
  return {
    step,
    from,
    to: ahead(from, distanceM),
    distanceM,
    angleRad: 0,
    durationS,
    timeoutS: step.timeoutS ?? timeoutFor(durationS),
    problems,
  };
}

function planMark(step: StepOf<'mark'>, from: Pose, table: Table): PlannedStep {
  const known = table.missions.some((mission) => mission.id === step.missionId);
  return {
    step,
    from,
    to: from,
    distanceM: 0,
    angleRad: 0,
    durationS: step.dwellS,
    timeoutS: step.dwellS,
    problems: known ? [] : ['unknown-mission'],
  };
}

function planStep(step: Step, from: Pose, robot: Robot, table: Table): PlannedStep {
  switch (step.kind) {
    case 'straight':
      return planStraight(step, from, robot);
    case 'turn':
      return planTurn(step, from);
    case 'approach':
      return planApproach(step, from, robot, table);
    case 'mark':
      return planMark(step, from, table);
  }
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
    const planned = planStep(step, pose, robot, table);
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
