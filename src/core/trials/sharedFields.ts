import { number, type NumberValue } from '../description/description';

/** A share of full power that a motor was given. */
export const powerShare = (of: { label: string; hint?: string }): NumberValue =>
  number({
    ...of,
    title: 'power_percent',
    quantity: 'share',
    min: 0,
    max: 1,
    open: 'below',
    wanted: 'expected a power, not 0',
    beyond: 'are these percent? a share of full power is expected',
  });
