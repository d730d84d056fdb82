import { ulid } from 'ulid';
import { calibrationOf } from '../../../core/calibration/find';
import { stopStudy } from '../../../core/ranging/stopStudy';
import { knowledgeAge } from '../../../core/freshness';
import type { Procedure } from '../procedure';
import { newStopTrials } from './newTrials';

export const stop: Procedure = {
  id: 'stop',
  title: 'Stopping',
  group: 'distance and touch',
  goodFor: 'when to tell it to stop, so that it stands where it should',
  minutes: 6,
  gives: null,
  known: async (facts) => {
    const { open, lists } = await facts.trials('stop');
    const used = open?.trials.filter(({ setAsideReason }) => setAsideReason === null) ?? [];
    const study = stopStudy(used);
    const begun = lists.find(({ id }) => id === open?.id)?.startedAt;
    return study === null
      ? { sentence: null, freshness: null }
      : {
          sentence: study.sentences.found,
          freshness: knowledgeAge(
            begun === undefined ? null : new Date(begun),
            facts.now,
            'not measured',
          ),
        };
  },
  props: async (facts) => {
    const [{ lists, open }, holding] = await Promise.all([facts.trials('stop'), facts.holding()]);
    const { range } = holding;
    return {
      lists,
      measured: range === undefined ? null : calibrationOf([range.value], 'range'),
      trials:
        open === null || facts.wishes.has('new') ? newStopTrials(ulid(), facts.robot.id) : open,
    };
  },
};
