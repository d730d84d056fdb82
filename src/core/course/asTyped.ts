import { COMMAND_WAYS } from '../program/commands';
import { commandedTravel, travelledFor } from '../program/commandedTravel';
import { TRAVEL_WAYS } from '../program/travels';
import type { Robot } from '../robot/robot';
import type { MotionStep } from '../steps/descriptions';
import { kindOfStep } from '../steps/registry';
import { withMotions } from '../steps/tree';
import type { Route } from './route';

/** Nearer than this a number is what its field holds. */
const SAME = 1e-9;

const toDecimals = (value: number, decimals: number): number =>
  Math.round(value * 10 ** decimals) / 10 ** decimals;

/** A speed as the field of a program holds it. */
function withTypedSpeed(step: MotionStep, robot: Robot): MotionStep {
  const { command } = robot.program;
  const { speed } = kindOfStep(step).inProgram;
  if (command === null || speed === undefined) return step;
  const wanted = speed.commanded(step, robot, command);
  if (wanted === null) return step;
  const typed = toDecimals(wanted, COMMAND_WAYS[command].decimals);
  return Math.abs(typed - wanted) < SAME
    ? step
    : (speed.withCommand(step, robot, command, typed) ?? step);
}

/** And a distance. */
function withTypedTravel(step: MotionStep, robot: Robot): MotionStep {
  const way = robot.program.travel;
  const { travel } = kindOfStep(step).inProgram;
  if (way === null || travel === undefined) return step;
  const distanceM = travel.distanceM(step);
  const wanted = commandedTravel(robot, way, distanceM);
  const typed = toDecimals(wanted, TRAVEL_WAYS[way].decimals);
  // Nothing is left to be told where it rolls as far by itself.
  return wanted === 0 || Math.abs(typed - wanted) < SAME
    ? step
    : travel.withDistance(step, travelledFor(robot, way, typed));
}

const typedSteps = new WeakMap<MotionStep, { robot: Robot; typed: MotionStep }>();

/** The same step each time that it is asked for. */
function typedStep(step: MotionStep, robot: Robot): MotionStep {
  const known = typedSteps.get(step);
  if (known?.robot === robot) return known.typed;
  const typed = withTypedTravel(withTypedSpeed(step, robot), robot);
  typedSteps.set(step, { robot, typed });
  return typed;
}

/** A route with the speeds and distances that the fields of the robot's programs can hold: what is typed is what is driven. */
export const asTyped = (route: Route, robot: Robot): Route => ({
  ...route,
  steps: withMotions(route.steps, (step) => typedStep(step, robot)),
});
