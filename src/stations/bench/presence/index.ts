import { calibrationFromPresence } from '../../../core/calibration/kinds/presence/fromStudy';
import { presenceStudy } from '../../../core/presence/presenceStudy';
import { heldOrTrials } from '../known';
import type { Procedure } from '../procedure';
import { notAside, openedList } from '../trials/openedList';
import { foundInList } from '../waiting';
import { newPresenceTrials } from './newTrials';

export const presence: Procedure = {
  id: 'presence',
  title: 'Something there',
  group: 'distance and touch',
  goodFor: 'from which reading on something is in the way, what is missed and what is seen in vain',
  minutes: 4,
  gives: ['presence'],
  known: (facts) => heldOrTrials(facts, 'presence', 'presence', 'reading'),
  found: (facts) =>
    foundInList(facts, 'presence', ({ trials, conditions }) => {
      const used = notAside(trials);
      const study = presenceStudy(used, conditions);
      const { by, target } = conditions;
      return {
        value:
          study?.found == null
            ? null
            : calibrationFromPresence(study.found, {
                by,
                target,
                n: used.length,
                lostBelowV: study.lostBelowV,
              }),
        raw: used,
      };
    }),
  props: (facts) =>
    openedList(facts, 'presence', (id, robotId) => newPresenceTrials(id, robotId, facts.robot)),
};
