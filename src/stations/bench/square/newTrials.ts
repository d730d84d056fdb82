import { roundLength } from '../../../core/text/lengths';
import type { SquareTrials } from '../../../formats/benchRecords';

/** An empty list of laps, kept with its first lap. */
export const newSquareTrials = (id: string, robotId: string): SquareTrials => ({
  id,
  version: 0,
  robotId,
  procedure: 'square',
  conditions: {
    surface: '',
    battery: '',
    who: '',
    readToM: null,
    sideM: roundLength(1.2),
    driven: 'encoders',
    corners: 'spin',
    lapS: null,
  },
  trials: [],
  archivedAt: null,
});
