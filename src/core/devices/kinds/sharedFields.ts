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

/** Of what looks at the floor. */
export const spotDiameter = number({
  label: 'Width of its spot',
  quantity: 'small length',
  min: 0,
  max: 0.2,
  open: 'below',
  default: 0.012,
});
