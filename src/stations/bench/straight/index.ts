import { straightGroups } from '../../../core/drive/straightGroups';
import { straightStudy } from '../../../core/drive/straightStudy';
import { foundInList } from '../waiting';
import { heldOrTrials } from '../known';
import { notAside, openedList } from '../trials/openedList';
import type { Procedure } from '../procedure';
import { newStraightTrials } from './newTrials';

export const straight: Procedure = {
  id: 'straight',
  title: 'Straight drives',
  group: 'driving',
  goodFor: 'how far it truly drives, and where it goes to the side',
  minutes: 6,
  gives: ['straight'],
  goesByHeading: true,
  known: (facts) =>
    heldOrTrials(facts, 'straight', 'straight', 'drive', (text) => `Against the record: ${text}`),
  found: (facts) =>
    foundInList(facts, 'straight', ({ trials, conditions }) => {
      const [shown] = straightGroups(
        notAside(trials).map((one) => ({ ...one, keptBy: one.keptBy ?? conditions.keep })),
        conditions.readToM,
      );
      const judged = shown?.trials ?? [];
      return { value: straightStudy(judged, conditions.readToM)?.value ?? null, raw: judged };
    }),
  props: (facts) => openedList(facts, 'straight', newStraightTrials),
};
