import { number } from '../description/description';
import { lengthM, speedMPerS } from '../description/values';

const MILLIMETRES = 'are these millimetres? metres are expected';
const MILLISECONDS = 'are these milliseconds? seconds are expected';

/** What is wanted of an approach to a wall, each value described once. */
export const WANTED = {
  wantedM: lengthM({ label: 'Wanted gap', min: 0 }),
  speedMPerS: speedMPerS({ label: 'Speed' }),
  confirmations: number({
    label: 'Readings in a row',
    quantity: 'count',
    min: 1,
    max: 20,
    whole: true,
  }),
  startGapM: lengthM({ label: 'Starts at a gap of', min: 0 }),
  samplePeriodS: number({
    label: 'Period of its readings',
    quantity: 'short time',
    min: 0,
    max: 1,
    open: 'below',
    beyond: `expected at most 1 s: ${MILLISECONDS}`,
  }),
};

/** How the sensor reads, and how the robot brakes. */
export const READS = {
  latencyS: number({
    label: 'Latency',
    quantity: 'short time',
    min: 0,
    max: 2,
    beyond: `expected at most 2 s: ${MILLISECONDS}`,
  }),
  brakingMPerS2: number({
    label: 'Braking',
    quantity: 'acceleration',
    min: 0,
    max: 100,
    open: 'below',
  }),
  offsetM: lengthM({
    label: 'Offset',
    quantity: 'small length',
    min: -1,
    max: 1,
    beyond: `expected at most ± 1 m: ${MILLIMETRES}`,
  }),
  scaleFactor: number({ label: 'Scale', quantity: 'ratio', min: 0.2, max: 5 }),
  noiseM: lengthM({
    label: 'Noise',
    quantity: 'small length',
    min: 0,
    max: 0.5,
    beyond: `expected at most 0.5 m: ${MILLIMETRES}`,
  }),
};
