import { driftFromCheck, measuresDrift } from '../../../core/calibration/kinds/gyroDrift/fromStudy';
import { knowledgeAge } from '../../../core/text/freshness';
import { measuredDrift } from '../../../core/gyro/driftText';
import { VERDICT_NAMES } from '../../../core/gyro/still/stillSentence';
import type { Procedure } from '../procedure';

export const still: Procedure = {
  id: 'still',
  title: 'Still check',
  group: 'heading',
  goodFor: 'how far the heading creeps off in a run',
  minutes: 1,
  gives: ['gyro-drift'],
  known: async (facts) => {
    const check = (await facts.stillChecks()).find(({ setAsideReason }) => setAsideReason === null);
    if (check === undefined) return { sentence: null, freshness: null };
    const { result, takenAt } = check;
    return {
      sentence: `Creeps by ${measuredDrift(result)}: ${VERDICT_NAMES[result.verdict]}.`,
      freshness: knowledgeAge(new Date(takenAt), facts.now, 'never'),
    };
  },
  found: async (facts) => {
    const check = (await facts.stillChecks()).find(({ setAsideReason }) => setAsideReason === null);
    if (check === undefined || !measuresDrift(check.result)) return null;
    return {
      value: driftFromCheck(check.result),
      evidence: { trialsId: null, stillCheckId: check.id, raw: [] },
      surface: null,
      battery: null,
      measuredAt: check.takenAt,
    };
  },
  props: async (facts) => ({ checks: await facts.stillChecks() }),
};
