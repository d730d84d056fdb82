import { knowledgeAge } from '../../../core/text/freshness';
import { gaugeStudy } from '../../../core/ranging/gaugeStudy';
import { emptyList } from '../trials/emptyList';
import { openedList, usedTrials } from '../trials/openedList';
import type { Procedure } from '../procedure';

export const gauge: Procedure = {
  id: 'gauge',
  title: 'Who measures',
  group: 'as it is built',
  goodFor: 'how much of all scatter is the reading of the tape',
  minutes: 6,
  gives: [],
  known: async (facts) => {
    const { used, begunAt } = usedTrials(await facts.trials('gauge'));
    const study = gaugeStudy(used);
    return study === null
      ? { sentence: null, freshness: null }
      : {
          sentence: study.sentences.found,
          freshness: knowledgeAge(begunAt, facts.now, 'not measured'),
        };
  },
  props: (facts) => openedList(facts, 'gauge', emptyList('gauge')),
};
