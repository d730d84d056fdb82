import { emptyList } from '../emptyList';
import { heldOrTrials } from '../known';
import { openedList } from '../openedList';
import type { Procedure } from '../procedure';

export const speed: Procedure = {
  id: 'speed',
  title: 'Speed at a power',
  group: 'driving',
  goodFor: 'how fast a percentage of power drives, and below which it stands',
  minutes: 5,
  gives: 'speed',
  known: (facts) => heldOrTrials(facts, 'speed', 'speed', 'drive', (text) => `Drives ${text}`),
  props: (facts) => openedList(facts, 'speed', emptyList('speed')),
};
