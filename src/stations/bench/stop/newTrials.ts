import { roundLength } from '../../../core/text/lengths';
import type { StopTrials } from '../../../formats/benchRecords';

/** An empty list of stops, kept with its first. */
export const newStopTrials = (id: string, robotId: string): StopTrials => ({
  id,
  version: 0,
  robotId,
  procedure: 'stop',
  conditions: {
    surface: '',
    battery: '',
    who: '',
    readToM: null,
    wantedM: roundLength(0.05),
    speedMPerS: roundLength(0.2),
    confirmations: 2,
    startGapM: roundLength(0.6),
    samplePeriodS: 0.02,
    timeAtHandS: 3,
    by: 'distance',
  },
  trials: [],
  archivedAt: null,
});
