import { describeCalibration } from '../../../core/calibration/registry';
import { emptyList } from '../emptyList';
import { openedList } from '../openedList';
import type { Procedure } from '../procedure';

export const speed: Procedure = {
  id: 'speed',
  title: 'Speed at a power',
  group: 'driving',
  goodFor: 'how fast a percentage of power drives, and below which it stands',
  minutes: 5,
  gives: 'speed',
  known: async (facts) => {
    const [{ speed: held }, validity] = await Promise.all([facts.holding(), facts.validity()]);
    return held === undefined
      ? { sentence: null, freshness: null }
      : { sentence: `Drives ${describeCalibration(held.value)}.`, freshness: validity.speed };
  },
  props: (facts) => openedList(facts, 'speed', emptyList('speed')),
};
