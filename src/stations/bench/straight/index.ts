import { describeCalibration } from '../../../core/calibration/registry';
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
  known: async (facts) => {
    const [{ straight: held }, validity] = await Promise.all([facts.holding(), facts.validity()]);
    return held === undefined
      ? { sentence: null, freshness: null }
      : {
          sentence: `Against the record: ${describeCalibration(held.value)}.`,
          freshness: validity.straight,
        };
  },
  props: (facts) => openedList(facts, 'straight', newStraightTrials),
};
