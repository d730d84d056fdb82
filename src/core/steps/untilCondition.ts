import { endingWhen } from '../control/condition';
import { within } from '../control/within';
import type { Controller } from '../control/controller';
import type { Pose } from '../geometry/pose';
import type { Robot } from '../robot/robot';
import type { Table } from '../table/table';
import type { Condition } from './condition/condition';
import { watchedOf } from './condition/watched';
import type { MotionStep } from './descriptions';
import type { Leg, Motion } from './kind';
import type { Leave, PlannedMotion } from './leave';
import { kindOfStep } from './registry';
import { LONGEST_S, rehearsed } from './rehearsed';

/** What moves less has not moved. */
const STANDS_M = 0.002;
const STANDS_RAD = 0.01;

/** What may end a step besides its kind's own rule. */
export const untilOf = (step: MotionStep): Condition | undefined =>
  'until' in step && kindOfStep(step).endsByItself === undefined ? step.until : undefined;

/** The controller of a step: that of its kind, within its time-out where one is set; a condition may end it. */
export function controlStep(step: MotionStep, leg: Leg, robot: Robot): Controller {
  const motion = kindOfStep(step).control(step, leg, robot);
  const isLimited = 'timeoutS' in step && step.timeoutS !== undefined;
  const limited = isLimited ? within(motion, leg.timeoutS) : motion;
  const until = untilOf(step);
  return until === undefined ? limited : endingWhen(limited, watchedOf(until, leg, robot));
}

/** All that a program compares as it leaves a step: what its kind does by itself, and a condition that may end it. */
export function leavesOf(
  step: MotionStep,
  planned: PlannedMotion,
  robot: Robot,
  table: Table,
): Leave[] {
  const { plan, inProgram } = kindOfStep(step);
  const until = untilOf(step);
  if (until === undefined) return inProgram.leaves(step, planned, robot);
  const { from } = planned;
  const byItself = { ...plan(step, from, robot, table), from };
  return [...inProgram.leaves(step, byItself, robot), { by: 'condition', condition: until }];
}

/** Plans of a step on a robot and a table, by where it begins. */
interface Known {
  robot: Robot;
  table: Table;
  from: Map<string, Motion>;
}

const plans = new WeakMap<MotionStep, Known>();
/** So many beginnings of a step are remembered. */
const MOST_KNOWN = 200;

function knownOf(step: MotionStep, robot: Robot, table: Table): Known {
  const known = plans.get(step);
  const isAlike = known?.robot === robot && known.table === table;
  if (known !== undefined && isAlike && known.from.size < MOST_KNOWN) return known;
  const anew: Known = { robot, table, from: new Map() };
  plans.set(step, anew);
  return anew;
}

/**
 * The plan of a step: that of its kind; where a condition may end it, as the exact robot makes it. It is remembered: the
 * ways through a route have their beginnings in common.
 */
export function planStep(step: MotionStep, from: Pose, robot: Robot, table: Table): Motion {
  const known = knownOf(step, robot, table);
  const key = `${from.xM} ${from.yM} ${from.headingRad}`;
  const motion = known.from.get(key) ?? newPlan(step, from, robot, table);
  known.from.set(key, motion);
  return { ...motion, problems: [...motion.problems] };
}

function newPlan(step: MotionStep, from: Pose, robot: Robot, table: Table): Motion {
  const byItself = kindOfStep(step).plan(step, from, robot, table);
  if (untilOf(step) === undefined) return byItself;
  // What never ends by itself is given the time that the condition takes.
  const isSet = 'timeoutS' in step && step.timeoutS !== undefined;
  const isOpen = byItself.problems.length > 0 && !isSet;
  const planned = isOpen ? { ...byItself, timeoutS: LONGEST_S } : byItself;
  const made = rehearsed((leg, exact) => controlStep(step, leg, exact), from, robot, table, {
    never: 'never-ends',
    planned,
    meets: kindOfStep(step).meets,
  });
  const moves = ({ distanceM, angleRad }: Motion) =>
    Math.abs(distanceM) > STANDS_M || Math.abs(angleRad) > STANDS_RAD;
  const isAtOnce = made.problems.length === 0 && moves(planned) && !moves(made);
  // Where nothing is read in time, it ends as it does without.
  return {
    ...made,
    byItselfS: byItself.durationS,
    timeoutS: isOpen ? made.timeoutS : planned.timeoutS,
    ...(isAtOnce && { problems: ['already-so'] }),
  };
}
