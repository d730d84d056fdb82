import { knowledgeAge } from '../../../core/freshness';
import { squaringStudy } from '../../../core/walls/squaringStudy';
import { emptyList } from '../emptyList';
import { openedList, usedTrials } from '../openedList';
import type { Procedure } from '../procedure';

export const squaring: Procedure = {
  id: 'squaring',
  title: 'Squaring on a wall',
  group: 'distance and touch',
  goodFor: 'how hard and how long to press, and what is left over',
  minutes: 8,
  gives: null,
  known: async (facts) => {
    const { used, begunAt } = usedTrials(await facts.trials('squaring'));
    const study = squaringStudy(used);
    return study === null
      ? { sentence: null, freshness: null }
      : {
          sentence: study.sentences.found,
          freshness: knowledgeAge(begunAt, facts.now, 'not measured'),
        };
  },
  props: (facts) => openedList(facts, 'squaring', emptyList('squaring')),
};
