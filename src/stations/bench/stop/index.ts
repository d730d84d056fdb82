import { calibrationOf } from '../../../core/calibration/find';
import { stopStudy } from '../../../core/ranging/stopStudy';
import { knowledgeAge } from '../../../core/freshness';
import { openedList, usedTrials } from '../openedList';
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
    const { used, begunAt } = usedTrials(await facts.trials('stop'));
    const study = stopStudy(used.filter(({ by }) => by === 'distance'));
    return study === null
      ? { sentence: null, freshness: null }
      : {
          sentence: study.sentences.found,
          freshness: knowledgeAge(begunAt, facts.now, 'not measured'),
        };
  },
  props: async (facts) => {
    const [list, { range }] = await Promise.all([
      openedList(facts, 'stop', newStopTrials),
      facts.holding(),
    ]);
    return {
      ...list,
      measured: range === undefined ? null : calibrationOf([range.value], 'range'),
    };
  },
};
