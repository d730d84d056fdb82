import { number } from '../description/description';

/** What is asked of ways to drive straight that are compared, each value described once. */
export const WAYS_ASKED = {
  distanceM: number({ label: 'Drive', quantity: 'length', min: 0.2, max: 3 }),
  speedMPerS: number({ label: 'At', quantity: 'speed', min: 0.05, max: 1 }),
};

const gain = (label: string) =>
  number({ label, quantity: 'gain', min: 0, max: 1000, open: 'below' });

export const GAINS_ASKED = {
  headingMPerSPerRad: gain('Gain on the heading'),
  balancePerS: gain('Gain on the encoders'),
};
