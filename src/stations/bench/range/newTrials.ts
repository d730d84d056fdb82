import { roundLength } from '../../../core/text/lengths';
import type { RangeTrials } from '../../../formats/benchRecords';

/** An empty bench of distance sensors, kept with its first reading. */
export const newRangeTrials = (id: string, robotId: string): RangeTrials => ({
  id,
  version: 0,
  robotId,
  procedure: 'range',
  conditions: {
    surface: '',
    battery: '',
    who: '',
    readToM: null,
    target: '',
    batteryV: null,
    toleranceM: roundLength(0.01),
    shows: 'a length',
  },
  trials: [],
  archivedAt: null,
});
