import { choice, number, orNothing, text } from '../../description/description';
import { HOMES_BY, ROLL_OVERS, type RollOver } from '../../attachments/words';

const COUNTERS = Object.fromEntries(
  Object.entries(ROLL_OVERS).map(([counter, { words }]) => [counter, words]),
) as Record<RollOver, string>;

export const ATTACHMENT_LIST = {
  armM: number({
    label: 'From its axle to its tip',
    hint: '0: not said',
    quantity: 'small length',
    min: 0,
    max: 1,
    default: 0,
  }),
  windowM: orNothing(
    number({
      label: 'Its mission needs its tip within ±',
      about: 'of where it should be; null: not said',
      quantity: 'small length',
      min: 0,
      max: 1,
      open: 'below',
    }),
  ),
  homesBy: choice({ label: 'It finds home', options: HOMES_BY, default: 'nothing' }),
  homePower: orNothing(
    number({
      label: 'Going home with',
      about: 'share of full power; null: not said',
      quantity: 'share',
      min: 0,
      max: 1,
      open: 'below',
    }),
  ),
  homeRadPerS: orNothing(
    number({
      label: 'Going home at',
      about: 'null: not said',
      quantity: 'turning rate',
      min: 0,
      max: 50,
      open: 'below',
    }),
  ),
  rangeRad: orNothing(
    number({
      label: 'Its whole range',
      about: 'from end to end; null: not said',
      quantity: 'angle',
      min: 0,
      max: 200,
      open: 'below',
    }),
  ),
  counter: choice({ label: 'Its counter', options: COUNTERS, default: 'none' }),
  startsAt: text({
    label: 'Where it stands at the start',
    about: 'of a run: it moves then',
    default: '',
  }),
};
