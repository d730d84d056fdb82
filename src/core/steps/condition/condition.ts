import { number } from '../../description/description';

/** The numbers of a condition. */
export const CONDITION = {
  value: number({
    label: 'Its value',
    about: 'in SI: metres, radians, seconds, volts, a share of full scale',
    quantity: 'ratio',
    min: -1000,
    max: 1000,
    default: 0,
  }),
  confirmations: number({
    label: 'Times in a row',
    quantity: 'times',
    whole: true,
    min: 1,
    max: 100,
    default: 1,
  }),
  timeoutS: number({ label: 'Within', quantity: 'time', min: 0.1, max: 150 }),
};

/** What is looked at: a unit by its label, the heading on the table, volts, the step's time, or a motor's angle. */
export type Reading =
  'heading' | 'volts' | 'time' | { unit: string; channel: string } | { motor: string };

/** A reading, and what about it is waited for. */
export interface Single {
  reading: Reading;
  is: 'above' | 'below' | 'changed' | 'still';
  value: number;
  confirmations: number;
  timeoutS?: number | undefined;
}

/** Something that is read, or all or any of several. */
export type Condition = Single | { all: Condition[] } | { any: Condition[] };

/** The conditions that a condition is made of; of a single one itself. */
export const singlesOf = (condition: Condition): Single[] => {
  if ('all' in condition) return condition.all.flatMap(singlesOf);
  return 'any' in condition ? condition.any.flatMap(singlesOf) : [condition];
};
