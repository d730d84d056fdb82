import { STILL_S } from '../control/condition';
import { GATE_S } from '../control/settings';
import { radiansFromDegrees } from '../geometry/angle';
import { devicesOf } from '../devices/ofRobot';
import type { Robot } from '../robot/robot';
import { CONDITION, singlesOf, type Condition, type Single } from '../steps/condition/condition';
import type { Step } from '../steps/descriptions';
import type { Route } from './route';

/** What a route does when its robot does not stand still in time before it goes. */
export const WHEN_NOT_STILL = { stays: 'stay', 'goes-on': 'go on' } as const;

export type WhenNotStill = keyof typeof WHEN_NOT_STILL;

/** A hand turns it further than this, or rolls its wheels; a drift does not. */
const STANDS_RAD = radiansFromDegrees(1);
/** A look is counted as quiet after a while; in so many in a row, half a second in all is over. */
const timesOf = ({ loopPeriodS }: Robot): number =>
  Math.max(1, Math.min(CONDITION.confirmations.max, Math.round((GATE_S - STILL_S) / loopPeriodS)));
/** It is waited for so long. */
export const STILL_WITHIN_S = 5;

/** What shows whether it moves: its heading, and its driven motors. */
function shownByMoving(robot: Robot): Single['reading'][] {
  const motors = [...devicesOf(robot, 'left motor'), ...devicesOf(robot, 'right motor')];
  return [
    ...(devicesOf(robot, 'heading sensor').length === 0 ? [] : (['heading'] as const)),
    ...motors.map(({ label }) => ({ motor: label })),
  ];
}

/** All of it still. */
function still(robot: Robot, timeoutS: number | undefined): Condition {
  const all = shownByMoving(robot).map((reading): Single => ({
    ...{ reading, is: 'still', value: STANDS_RAD, confirmations: timesOf(robot) },
    ...(timeoutS !== undefined && { timeoutS }),
  }));
  return { all };
}

/** Whether a route waits until its robot stands still before it does anything else. */
export const standsStillFirst = ({ steps: [first] }: Route): boolean =>
  first !== undefined &&
  'until' in first &&
  first.until !== undefined &&
  'seconds' in first &&
  singlesOf(first.until as Condition).every(({ is }) => is === 'still');

/** Whether a route may be told to, and is not yet. */
export const offersStandstill = (route: Route, robot: Robot): boolean =>
  shownByMoving(robot).length > 0 && !standsStillFirst(route);

/**
 * A route that waits until its robot stands still, and takes its heading for that of the start only then: a program that
 * zeroes it in somebody's hand is wrong in every turn after it.
 *
 * @param ids of the two steps that are put in front
 */
export function withStandstill(
  route: Route,
  robot: Robot,
  whenNot: WhenNotStill,
  ids: readonly [string, string],
): Route {
  const isPatient = whenNot === 'goes-on';
  const gate: Step = {
    ...{ id: ids[0], kind: 'wait', seconds: isPatient ? STILL_WITHIN_S : 2 * STILL_WITHIN_S },
    until: still(robot, isPatient ? undefined : STILL_WITHIN_S),
  };
  const zero: Step = { id: ids[1], kind: 'set-heading', headingRad: route.start.headingRad };
  return { ...route, steps: [gate, zero, ...route.steps] };
}
