import type { GainTrials } from '../../../formats/benchRecords';

/** An empty list of gains, kept with its first. */
export const newGainTrials = (id: string, robotId: string): GainTrials => ({
  id,
  version: 0,
  robotId,
  procedure: 'gains',
  conditions: {
    surface: '',
    battery: '',
    who: '',
    readToM: null,
    controller: 'heading-hold',
    speeds: {},
  },
  trials: [],
  archivedAt: null,
});
