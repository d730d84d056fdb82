import { describeCalibration } from '../../../core/calibration/registry';
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
  known: async (facts) => {
    const [{ drive }, validity] = await Promise.all([facts.holding(), facts.validity()]);
    return drive === undefined
      ? { sentence: null, freshness: null }
      : {
          sentence: `Against the record: ${describeCalibration(drive.value)}.`,
          freshness: validity.drive,
        };
  },
  props: (facts) => openedList(facts, 'square', newSquareTrials),
};
