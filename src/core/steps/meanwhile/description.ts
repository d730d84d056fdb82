import { description, number, part } from '../../description/description';
import { say } from '../../description/phrase';
import { ATTACHMENT } from '../attachment/description';
import type { Branch } from '../branch';
import { singlesOf, type Condition } from '../condition/condition';
import { conditionWords, quantityOf } from '../condition/words';
import type { MotionStep } from '../descriptions';
import { MARK } from '../mark/description';

/** A motion, and what else is done each time that something begins or ceases to be so while it is made. */
export const MEANWHILE = description({
  kind: 'meanwhile',
  label: 'Meanwhile',
  fields: {
    on: part<Condition>({
      label: 'Watching whether',
      about: 'looked at all the time while the motion is made',
      words: conditionWords,
      shape: 'condition',
    }),
    hysteresis: number({
      label: 'Past it by',
      about: 'only so far past the value it is no longer so; in SI, as the value',
      quantity: 'ratio',
      min: 0,
      max: 1000,
      default: 0,
    }),
  },
  phrase({ on }) {
    const [first] = singlesOf(on);
    const quantity = first === undefined ? 'ratio' : quantityOf({ ...first, is: 'changed' });
    return say`Watch whether ${'on'}; ${{ slot: 'hysteresis', quantity }} past it no longer`;
  },
});

/** The motion, what is done as it begins to be so, and as it no longer is. */
export interface MeanwhileLists {
  motion: MotionStep;
  up: MotionStep[];
  down: MotionStep[];
}

/** The wheels are busy: what is done meanwhile moves an arm, or works a mission in passing. */
export const MADE_MEANWHILE = [ATTACHMENT, MARK] as const;
const takes = MADE_MEANWHILE.map(({ kind }) => kind);

export const meanwhileLists = ({ motion, up, down }: MeanwhileLists): Branch[] => [
  { at: ['motion'], words: 'while this is made', steps: [motion], isSingle: true },
  { at: ['up'], words: 'each time that it begins to be so', steps: up, takes },
  { at: ['down'], words: 'each time that it no longer is', steps: down, takes },
];
