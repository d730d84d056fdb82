import { ulid } from 'ulid';
import { describeCalibration } from '../../../core/calibration/registry';
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
  props: async (facts) => {
    const { lists, open } = await facts.trials('square');
    const wantsNew = facts.wishes.has('new');
    return {
      lists,
      trials: open === null || wantsNew ? newSquareTrials(ulid(), facts.robot.id) : open,
    };
  },
};
