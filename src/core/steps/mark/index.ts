import { rest } from '../../control/rest';
import { missionName } from '../../course/missionName';
import { shortNumber } from '../../text/quantities';
import type { StepKind } from '../kind';
import { exactTime, plainValue } from '../valueWords';
import type { MarkStep } from './schema';

/** It only stands: what it is worth is judged outside. */
export const mark: StepKind<MarkStep> = {
  kind: 'mark',
  label: 'Mission',
  needs: [],
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
  describe: ({ missionId, dwellS }, missions) =>
    `Work the ${missionName(missions, missionId)}, ${shortNumber(dwellS, 1)} s`,
  valueWords: { missionId: plainValue('mission'), dwellS: exactTime('standing') },
  rateRadPerS: () => 0,
  missionId: ({ missionId }) => missionId,
  drives: false,
  inProgram: {},
};
