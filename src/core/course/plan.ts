import { SETTLE_S } from '../control/settings';
import { profileAcceleration } from '../control/straight/profile';
import { wrap } from '../geometry/angle';
import type { Pose } from '../geometry/pose';
import { asMounted } from '../robot/mounting';
import type { Robot } from '../robot/robot';
import type { Motion } from '../steps/kind';
import { planChoice } from '../steps/choice';
import { inOrderBy, type Run } from '../steps/inOrder';
import { kindOfStep } from '../steps/registry';
import { planStep } from '../steps/untilCondition';
import { asTyped } from './asTyped';
import type { Route } from './route';
import { usualTable } from '../table/drawnTable';
import { hasMoved } from '../table/moved';
import { surfaceName } from '../table/surfaceName';
import type { Table } from '../table/table';

/** A motion, and what it does when everything goes as planned. Headings are kept unwrapped. */
export interface PlannedStep extends Motion, Run {
  from: Pose;
  /** It is made while another motion is, wherever the robot then is on that way. */
  isMeanwhile?: true;
  /** Of a question: with which answer it goes on. */
  answer?: string;
  /** And which one the exact robot finds. */
  found?: string;
  /** The missions that are worked before it; left out where that moves nothing on the table. */
  worked?: readonly string[];
  /** Of one that squares up: what it stands against, in words. */
  standsAgainst?: string;
}

/** So much sooner a motion is over that does not stop at its end, or is begun as the robot rolls. */
function savedS({ step, rollsOut, fromMPerS = 0 }: Run, robot: Robot): number {
  if (rollsOut !== true && fromMPerS === 0) return 0;
  const perMPerS = 1 / (2 * profileAcceleration(robot));
  const { speedMPerS = 0 } = kindOfStep(step).byEncoders?.(step) ?? {};
  return perMPerS * fromMPerS + (rollsOut === true ? SETTLE_S + perMPerS * speedMPerS : 0);
}

const outside = (pose: Pose, table: Table) =>
  pose.xM < 0 || pose.yM < 0 || pose.xM > table.widthM || pose.yM > table.heightM;

/**
 * The planned pose, distance, angle, time and time-out of each motion in the order in which they are made, and what
 * is doubtful about it; its speeds and distances as the fields of the robot's programs hold them.
 *
 * What is not always on the table is there as it is as a rule. The distance sensor's recorded offset and scale are used for approaches; everything else is ideal.
 *
 * @param answers to the first of its questions; later ones are answered as they usually are
 * @param begun its first motions as they were planned before, of which the first answers are the same
 */
export const planRoute = (
  route: Route,
  robot: Robot,
  table: Table,
  answers: readonly string[] = [],
  begun: readonly PlannedStep[] = [],
): PlannedStep[] => planExactly(asTyped(route, robot), robot, table, answers, begun);

/** The same by numbers that no field rounds. */
export function planExactly(
  route: Route,
  robot: Robot,
  table: Table,
  answers: readonly string[] = [],
  begun: readonly PlannedStep[] = [],
): PlannedStep[] {
  const mounted = asMounted(robot, route);
  const movesThings = hasMoved(table);
  let worked: string[] = [];
  let pose: Pose = route.start;
  let asked = 0;
  const planned: PlannedStep[] = [];
  const goOnFrom = (one: PlannedStep) => {
    planned.push(one);
    pose = one.to;
    if (!movesThings) return;
    // What is worked in passing is counted from its own step on: nothing tells before where on the next it is.
    const marked = kindOfStep(one.step).marks?.(one.step)?.missionId;
    if (marked !== undefined) worked = [...worked, marked];
  };
  const answerTo = () => planned.at(-1)?.answer ?? '';
  for (const run of inOrderBy(route.steps, answerTo)) {
    const before = begun[planned.length];
    if (before !== undefined) {
      if (before.choice !== undefined) asked += 1;
      goOnFrom(before);
      continue;
    }
    const usual = usualTable(table, worked);
    const { motion, ...answered } =
      run.choice === undefined
        ? { motion: planStep(run.step, pose, mounted, usual) }
        : planChoice(run.choice, pose, mounted, usual, answers[asked++]);
    const one: PlannedStep = { ...run, from: pose, ...motion, ...answered };
    one.durationS -= savedS(run, robot);
    const { against } = one;
    if (against !== undefined)
      one.standsAgainst = against === null ? 'the border' : surfaceName(table, against);
    if (movesThings) one.worked = worked;
    if (outside(one.to, table)) one.problems.push('off-table');
    goOnFrom(one);
  }
  return planned;
}

/** Where the route is planned to end, heading wrapped. */
export function plannedEnd(route: Route, plan: readonly PlannedStep[]): Pose {
  const last = plan.at(-1)?.to ?? route.start;
  return { ...last, headingRad: wrap(last.headingRad) };
}

/** Planned time of the whole route in seconds. */
export const plannedDurationS = (plan: readonly PlannedStep[]): number =>
  plan.reduce((sum, planned) => sum + planned.durationS, 0);
