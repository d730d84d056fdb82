import { number } from '../description/description';

/* What is told about crossing a line, each value described once. */

const smallM = { quantity: 'small length', max: 1, open: 'below' } as const;
const shortS = { quantity: 'short time', min: 0.0001, max: 10 } as const;

export const CROSSING = {
  lineWidthM: number({ label: 'Width of the line', min: 0, default: 0.02, ...smallM }),
  spotM: number({
    label: 'The sensor sees a spot of',
    hint: 'across',
    quantity: 'small length',
    min: 0,
    max: 1,
    default: 0.006,
  }),
  loopPeriodS: number({ label: 'Longest round of the loop', ...shortS }),
  sensorPeriodS: number({ label: 'A new reading every', ...shortS }),
  readings: number({
    label: 'Different readings',
    hint: 'wanted from each pass',
    quantity: 'gain',
    min: 1,
    max: 20,
    whole: true,
    default: 2,
  }),
  speedMPerS: number({ label: 'It crosses at', quantity: 'speed', min: 0.01, max: 5 }),
};
