import { rest } from '../../control/rest';
import type { StepKind } from '../kind';
import type { MarkStep } from './description';

/** It only stands: what it is worth is judged outside. */
export const mark: StepKind<MarkStep> = {
  needs: () => [],
  group: 'work',
  isOffered: ({ missions }) => missions.length > 0,
  asAdded: ({ missionId }) => ({ kind: 'mark', missionId, dwellS: 1 }),
  plan: ({ missionId, dwellS }, from, _robot, { missions }) => ({
    to: from,
    distanceM: 0,
    angleRad: 0,
    durationS: dwellS,
    timeoutS: dwellS,
    problems: missions.some(({ id }) => id === missionId) ? [] : ['unknown-mission'],
  }),
  control: ({ dwellS }) => rest(dwellS),
  drives: false,
  inProgram: { leaves: () => [] },
};
