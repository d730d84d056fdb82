import type { PlannedStep } from '../course/plan';
import { posesAlong } from '../course/posesAlong';
import type { Pose } from '../geometry/pose';
import { kindOfStep } from '../steps/registry';
import { passBy, type Passing } from './passing';

/** A way is looked at so finely. */
const EVERY_M = 0.005;

/** Where the next motion after a mark comes nearest to a mission along its heading, as planned; where it stands if none comes. */
export function passedAt(plan: readonly PlannedStep[], mark: PlannedStep): (at: Pose) => Pose {
  const next = plan
    .slice(plan.indexOf(mark) + 1)
    .find(({ step, choice }) => choice === undefined && kindOfStep(step).drives);
  const poses = next === undefined ? [mark.to] : [next.from, ...posesAlong(next, EVERY_M)];
  return (at) => {
    const nothing = { missionId: '', part: null, leastMPerS: 0, nearest: null, last: null };
    const passing: Passing = { ...nothing, at };
    poses.forEach((pose, i) => passBy(passing, pose, i));
    return passing.nearest ?? mark.to;
  };
}
