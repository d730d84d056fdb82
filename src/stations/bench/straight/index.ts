import { heldOrTrials } from '../known';
import { openedList } from '../openedList';
import type { Procedure } from '../procedure';
import { newStraightTrials } from './newTrials';

export const straight: Procedure = {
  id: 'straight',
  title: 'Straight drives',
  group: 'driving',
  goodFor: 'how far it truly drives, and where it goes to the side',
  minutes: 6,
  gives: 'straight',
  goesByHeading: true,
  known: (facts) =>
    heldOrTrials(facts, 'straight', 'straight', 'drive', (text) => `Against the record: ${text}`),
  props: (facts) => openedList(facts, 'straight', newStraightTrials),
};
