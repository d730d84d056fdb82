import { allHeld } from '../../../formats/holding';
import type { Procedure } from '../procedure';

export const straightWays: Procedure = {
  id: 'straight-schools',
  title: 'Ways to drive straight',
  group: 'control',
  goodFor: 'which way of driving straight suits this robot, by simulation',
  minutes: null,
  gives: [],
  goesByHeading: true,
  known: async (facts) => {
    const { straight, drive } = await facts.holding();
    const measured = [straight, drive].filter((one) => one !== undefined).length;
    return {
      sentence:
        measured === 0
          ? 'Simulated with wheels and track as in the record.'
          : 'Simulated as it was measured.',
      freshness: null,
    };
  },
  props: async (facts) => {
    const holding = await facts.holding();
    return { fitted: facts.fitted(allHeld(holding).map(({ value }) => value)).robot };
  },
};
