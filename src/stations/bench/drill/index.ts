import { drillStudy } from '../../../core/drill/drillStudy';
import { emptyList } from '../trials/emptyList';
import { openedList, usedTrials } from '../trials/openedList';
import type { Procedure } from '../procedure';

const empty = (id: string, robotId: string) => {
  const list = emptyList('drill')(id, robotId);
  return { ...list, conditions: { ...list.conditions, name: '' } };
};

export const drill: Procedure = {
  id: 'drill',
  title: 'Read a trace',
  group: 'control',
  goodFor: 'seeing at a glance what is wrong: a drill for students',
  minutes: 5,
  gives: [],
  known: async (facts) => {
    const trials = await facts.trials('drill');
    const study = drillStudy(usedTrials(trials).used);
    const name = trials.open?.conditions.name ?? '';
    return {
      sentence: study && `${name === '' ? '' : `${name}: `}${study.sentences.found}`,
      freshness: null,
    };
  },
  props: (facts) => openedList(facts, 'drill', empty),
};
