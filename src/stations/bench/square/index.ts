import { heldOrTrials } from '../known';
import { openedList } from '../openedList';
import type { Procedure } from '../procedure';
import { newSquareTrials } from './newTrials';

export const square: Procedure = {
  id: 'square',
  title: 'Square path',
  group: 'driving',
  goodFor: 'the true track width, and whether both wheels are alike',
  minutes: 15,
  gives: 'drive',
  goesByHeading: true,
  known: (facts) =>
    heldOrTrials(facts, 'drive', 'square', 'lap', (text) => `Against the record: ${text}`),
  props: async (facts) => {
    const [list, holding] = await Promise.all([
      openedList(facts, 'square', newSquareTrials),
      facts.holding(),
    ]);
    const drift = holding['gyro-drift']?.value;
    return { ...list, drift: drift?.kind === 'gyro-drift' ? drift : null };
  },
};
