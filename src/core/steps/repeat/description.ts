import { description, number, part } from '../../description/description';
import { say } from '../../description/phrase';
import type { Condition } from '../condition/condition';
import { conditionWords } from '../condition/words';

/** The steps within it, so many times one after the other, or until a condition holds after one of these times. */
export const REPEAT = description({
  kind: 'repeat',
  label: 'Repeat',
  fields: {
    times: number({
      label: 'Times',
      about: 'where it does not go until a condition holds',
      quantity: 'times',
      whole: true,
      min: 1,
      max: 50,
      default: 2,
    }),
  },
  optional: {
    until: part<Condition>({
      label: 'Until',
      about: 'looked at after each time, the robot standing',
      words: conditionWords,
      shape: 'condition',
    }),
    most: number({
      label: 'Giving up after',
      about: 'with a condition: so often it is tried; left out: 20 times',
      quantity: 'times',
      whole: true,
      min: 1,
      max: 50,
    }),
  },
  phrase: ({ until }) =>
    until === undefined
      ? [...say`Repeat ${'times'}`, { ifSet: 'until', phrase: say`, or until ${'until'}` }]
      : [
          ...say`Repeat until ${'until'}`,
          { ifSet: 'most', phrase: say`, giving up after ${'most'}` },
        ],
});
