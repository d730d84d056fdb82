import type { ColourTrials } from '../../../formats/benchRecords';

/** An empty list of colours, kept with its first reading. */
export const newColourTrials = (id: string, robotId: string): ColourTrials => ({
  id,
  version: 0,
  robotId,
  procedure: 'colours',
  conditions: {
    surface: '',
    battery: '',
    who: '',
    readToM: null,
    shows: 'rgb',
    full: null,
    fullHue: null,
    fullShare: null,
    white: '',
    black: '',
    divisor: null,
    keepsTo: null,
  },
  trials: [],
  archivedAt: null,
});
