import { number, type NumberValue } from '../description/description';

/** Values that kinds of step have in common. */
export const speed = (usual?: number): NumberValue =>
  number({
    label: 'Speed',
    quantity: 'speed',
    min: 0.01,
    max: 5,
    ...(usual !== undefined && { default: usual }),
  });

export const HEADING_GAIN = number({
  label: 'Heading gain',
  about: 'right minus left wheel speed per heading error',
  quantity: 'gain',
  min: 0,
  max: 20,
  default: 1.2,
});
