import type { Controller, Failure } from '../control/controller';
import { drive } from '../control/drive';
import { rest } from '../control/rest';
import type { Pose, Point } from '../geometry/pose';
import type { Robot } from '../robot/robot';
import type { Table } from '../table/table';
import { exactRobot } from './exactRobot';
import { createMachine } from './machine';

/** After so many time constants a wheel stands. */
const ROLLS_OUT_LAGS = 8;

/** What a motion comes to when nothing is left to chance. */
export interface Rehearsed {
  to: Pose;
  durationS: number;
  /** Of both wheels' rolls the mean, signed. */
  travelledM: number;
  ended: 'done' | Failure;
  /** Places along the way, the first where it begins. */
  trail: Point[];
}

/** A way is kept in points so long apart. */
const POINT_EVERY_S = 0.1;

/**
 * A motion made once by the exact robot (`exactRobot`), as a plan has it where no formula tells where it ends: along a
 * line or a wall, or until something is read.
 *
 * @param motionFor the controller, for the robot that it is made with
 * @param isMeantToMeet whether it is meant to run into something
 */
export function rehearse(
  motionFor: (exact: Robot) => Controller,
  from: Pose,
  robot: Robot,
  table: Table,
  isMeantToMeet = false,
): Rehearsed {
  const exact = exactRobot(robot);
  const machine = createMachine(exact, table, from, 0, 0);
  machine.mayLean(isMeantToMeet);
  const trail: Point[] = [{ xM: from.xM, yM: from.yM }];
  let next = POINT_EVERY_S;
  const ended = drive(machine, motionFor(exact), () => {
    if (machine.readings.timeS < next) return;
    next += POINT_EVERY_S;
    trail.push({ xM: machine.pose.xM, yM: machine.pose.yM });
  });
  const { timeS } = machine.readings;
  // What its motors' lag lets it roll after that belongs to where it ends.
  drive(machine, rest(ROLLS_OUT_LAGS * exact.motors.lagS), () => undefined);
  const { xM, yM, headingRad } = machine.pose;
  const { leftM, rightM } = machine.readings;
  trail.push({ xM, yM });
  return {
    to: { xM, yM, headingRad },
    durationS: timeS,
    travelledM: (leftM + rightM) / 2,
    ended,
    trail,
  };
}
