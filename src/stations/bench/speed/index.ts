import { speedStudy } from '../../../core/drive/speedStudy';
import { foundInList } from '../waiting';
import { emptyList } from '../trials/emptyList';
import { heldOrTrials } from '../known';
import { notAside, openedList } from '../trials/openedList';
import type { Procedure } from '../procedure';

export const speed: Procedure = {
  id: 'speed',
  title: 'Speed at a power',
  group: 'driving',
  goodFor: 'how fast a percentage of power drives, and below which it stands',
  minutes: 5,
  gives: ['speed'],
  known: (facts) => heldOrTrials(facts, 'speed', 'speed', 'drive', (text) => `Drives ${text}`),
  found: (facts) =>
    foundInList(facts, 'speed', ({ trials }) => {
      const used = notAside(trials);
      return { value: speedStudy(used)?.value ?? null, raw: used };
    }),
  props: (facts) => openedList(facts, 'speed', emptyList('speed')),
};
