import { number } from '../description/description';

/* What hands do with a stand-in, each value described once. */

export const TURNED_BY_HAND = number({
  label: 'Angle to turn by hand',
  quantity: 'heading',
  min: -20,
  max: 20,
});

export const ROLLED_BY_HAND = number({
  label: 'Distance to roll by hand',
  quantity: 'length',
  min: -2,
  max: 2,
});

export const TARGET = number({
  label: 'Distance of the tape target',
  quantity: 'length',
  min: 0.01,
  max: 3,
});
