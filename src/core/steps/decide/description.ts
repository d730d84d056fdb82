import { choice, description, part } from '../../description/description';
import { say } from '../../description/phrase';
import type { Branch } from '../branch';
import type { Condition } from '../condition/condition';
import { conditionWords } from '../condition/words';
import type { Step } from '../descriptions';

/** One list of steps or another, by what is read where the robot stands. */
export const DECIDE = description({
  kind: 'decide',
  label: 'Decide',
  fields: {
    if: part<Condition>({
      label: 'Whether',
      about: 'it stands and looks once; a reading that is missing counts as not so',
      words: conditionWords,
      shape: 'condition',
    }),
    usual: choice({
      label: 'As a rule',
      about: 'with which of its lists the plan goes on',
      options: { then: 'so', else: 'not so' },
      default: 'then',
    }),
  },
  phrase: () => say`Look whether ${'if'}; as a rule it is ${'usual'}`,
});

/** What is made if it is so, and what if not. */
export interface DecideLists {
  then: Step[];
  else: Step[];
}

export const decideLists = ({ then, else: otherwise }: DecideLists): Branch[] => [
  { at: ['then'], words: 'if so', steps: then },
  { at: ['else'], words: 'if not', steps: otherwise },
];
