import { ulid } from 'ulid';
import type { TurnsCalibration } from '../../../core/calibrationValues/turns';
import type { PlannedStep } from '../../../core/course/plan';
import type { Route } from '../../../core/course/route';
import type { Table } from '../../../core/table/table';
import type { Robot } from '../../../core/robot/robot';
import { isOwner, type Step } from '../../../core/steps/descriptions';
import { ownerKindOf } from '../../../core/steps/registry';
import { numbered } from '../../../core/steps/tree';
import { newStep } from '../../../core/steps/newStep';
import { findStep, listOf, placeOf, type Place } from './editRoute';

/** The heading with which the robot comes to a place of the route, the first time. */
function headingAt(route: Route, plan: readonly PlannedStep[], at: Place): number {
  const before = listOf(route.steps, at)[at.index - 1];
  if (before !== undefined) {
    const made = plan.filter(
      ({ step, within }) => step.id === before.id || within.includes(before.id),
    );
    const isOne = made[0]?.step.id === before.id;
    const end = (isOne ? made[0] : made.at(-1))?.to;
    if (end !== undefined) return end.headingRad;
    const place = placeOf(route.steps, before.id);
    return place === null ? route.start.headingRad : headingAt(route, plan, place);
  }
  const place = at.owner === null ? null : placeOf(route.steps, at.owner);
  return place === null ? route.start.headingRad : headingAt(route, plan, place);
}

/** Whether what stands there is made several times. */
const isRepeated = ({ steps }: Route, { owner }: Place): boolean =>
  numbered(steps).some(
    ({ step, within }) =>
      step.id === owner &&
      [...within, owner].some((id) => {
        const one = findStep(steps, id);
        return one !== null && isOwner(one) && ownerKindOf(one).repeats;
      }),
  );

/** A step to be put at a place of a route, with ordinary values. */
export const addedStep = (
  kind: Step['kind'],
  route: Route,
  plan: readonly PlannedStep[],
  place: Place,
  { robot, table, turns }: { robot: Robot; table: Table; turns: TurnsCalibration | null },
): Step =>
  newStep(kind, ulid(), {
    headingRad: headingAt(route, plan, place),
    missionId: table.missions[0]?.id ?? '',
    turns,
    isRepeated: isRepeated(route, place),
    robot,
  });
