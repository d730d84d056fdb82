import { faultStudy } from '../../../core/faultIsolation/faultStudy';
import type { FaultLookRecord, FaultTrials } from '../../../formats/benchRecords';
import { NOTHING_KNOWN } from '../known';
import type { Procedure } from '../procedure';
import { emptyList } from '../trials/emptyList';
import { openedList, usedTrials } from '../trials/openedList';

/** A fault that nobody has looked at yet. */
const empty = (id: string, robotId: string): FaultTrials => {
  const list = emptyList('guilty-part')(id, robotId);
  return { ...list, conditions: { ...list.conditions, what: '' } };
};

export const guiltyPart: Procedure = {
  id: 'guilty-part',
  title: 'The guilty part',
  group: 'as it is built',
  goodFor: 'which part is at fault when something misbehaves, always or now and then',
  minutes: 10,
  gives: [],
  known: async (facts) => {
    const { used } = usedTrials<FaultLookRecord>(await facts.trials('guilty-part'));
    const study = faultStudy(used);
    return study === null ? NOTHING_KNOWN : { sentence: study.sentences.found, freshness: null };
  },
  props: (facts) => openedList(facts, 'guilty-part', empty),
};
