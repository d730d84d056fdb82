import { number, type NumberValue } from '../../description/description';

/** Values that kinds of unit have in common. */
export const period = (usual: number): NumberValue =>
  number({
    label: 'Period',
    quantity: 'short time',
    min: 0,
    max: 0.5,
    open: 'below',
    default: usual,
  });
