import { description, part, reference } from '../../description/description';
import { say } from '../../description/phrase';
import type { Branch } from '../branch';
import type { Step } from '../descriptions';

/** As its usual answer is called where it is none of its colours. */
export const NONE = 'otherwise';

/** Where no sensor is named. */
export const ANY = 'colour sensor';

const names = (classes: object): string => Object.keys(classes).join(', ');

/** One of several lists of steps, by the colour under a sensor where the robot stands. */
export const DECIDE_COLOUR = description({
  kind: 'decide-colour',
  label: 'Decide by colour',
  fields: {
    colour: reference({
      label: 'Colour sensor',
      to: 'colour sensor',
      about: 'its label',
      also: { [ANY]: 'the first' },
      default: ANY,
    }),
    classes: part<Record<string, unknown[]>>({
      label: 'Colours',
      about: 'the steps for each colour, by its name; the first that fits is taken',
      words: names,
      shape: 'colours',
    }),
    usual: reference({
      label: 'As a rule',
      to: 'colour',
      about: 'with which of its lists the plan goes on: a colour’s name, or otherwise',
      also: { [NONE]: 'none of them' },
      default: NONE,
    }),
  },
  phrase: () =>
    say`Look which colour ${'colour'} sees, of ${'classes'}; as a rule it is ${'usual'}`,
});

/** What is made for each colour, and what if it is none of them. */
export interface ColourLists {
  classes: Record<string, Step[]>;
  otherwise: Step[];
}

export const colourLists = ({ classes, otherwise }: ColourLists): Branch[] => [
  ...Object.entries(classes).map(([name, steps]) => ({
    at: ['classes', name],
    words: `if it is ${name}`,
    steps,
  })),
  { at: [NONE], words: 'if it is none of them', steps: otherwise },
];
