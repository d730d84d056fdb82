import { rest } from '../../control/rest';
import type { StepKind } from '../kind';
import type { PlanProblem } from '../problems';
import type { Table } from '../../table/table';
import type { MarkStep } from './description';

/** So long it stands for it. */
export const standsS = ({ dwellS, passing }: MarkStep): number => (passing === true ? 0 : dwellS);

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
    to: from,
    distanceM: 0,
    angleRad: 0,
    durationS: standsS(step),
    timeoutS: standsS(step),
    problems: problemsOf(step, table),
  }),
  control: (step) => rest(standsS(step)),
  marks: ({ missionId, part = null, passing = false, leastMPerS = 0 }) => ({
    missionId,
    part,
    passing,
    leastMPerS,
  }),
  drives: false,
  inProgram: { leaves: () => [] },
};
