import { rest } from '../../control/rest';
import { toTable, type Pose } from '../../geometry/pose';
import type { StepKind } from '../kind';
import type { PlanProblem } from '../problems';
import type { Table } from '../../table/table';
import type { MarkStep } from './description';

/** So long it stands for it. */
export const standsS = ({ dwellS, passing }: MarkStep): number => (passing === true ? 0 : dwellS);

/** Whether somebody has told how working it moves the robot. */
const isPushKnown = ({ passing, pushM, turnRad }: MarkStep): boolean =>
  passing !== true && (pushM !== undefined || turnRad !== undefined);

const NOT_AT_ALL: Pose = { xM: 0, yM: 0, headingRad: 0 };
const pushOf = ({ pushM = 0, turnRad = 0 }: MarkStep): Pose => ({
  xM: pushM,
  yM: 0,
  headingRad: turnRad,
});

/** Where it stands after it was worked. */
function pushed(step: MarkStep, from: Pose): Pose {
  if (!isPushKnown(step)) return from;
  const push = pushOf(step);
  return { ...toTable(from, push), headingRad: from.headingRad + push.headingRad };
}

function problemsOf({ missionId, part }: MarkStep, { missions }: Table): PlanProblem[] {
  const mission = missions.find(({ id }) => id === missionId);
  if (mission === undefined) return ['unknown-mission'];
  const isThere = part === undefined || mission.parts.some(({ name }) => name === part);
  return isThere ? [] : ['unknown-part'];
}

/** It only stands: what it is worth is judged outside. */
export const mark: StepKind<MarkStep> = {
  needs: () => [],
  group: 'work',
  isOffered: ({ missions }) => missions.length > 0,
  asAdded: ({ missionId }) => ({ kind: 'mark', missionId, dwellS: 1 }),
  plan: (step, from, _robot, table) => ({
    to: pushed(step, from),
    distanceM: 0,
    angleRad: 0,
    durationS: standsS(step),
    timeoutS: standsS(step),
    problems: problemsOf(step, table),
  }),
  control: (step) => rest(standsS(step)),
  carries: (step) => (isPushKnown(step) ? { by: pushOf(step), sd: NOT_AT_ALL } : undefined),
  marks(step) {
    const { missionId, part = null, passing = false, leastMPerS = 0 } = step;
    const pushIsKnown = passing || isPushKnown(step);
    return { missionId, part, passing, leastMPerS, pushIsKnown };
  },
  drives: false,
  inProgram: { leaves: () => [] },
};
