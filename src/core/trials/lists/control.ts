import { choice, number, text, themselves } from '../../description/description';
import { TUNED_IDS } from '../../robot/tunedIds';

export const GAIN_LIST = {
  controller: choice({ label: 'Controller', options: themselves(TUNED_IDS) }),
};

/** At which a gain is tried: a speed, or a turning rate. */
export const TRIED_AT = number({
  label: 'Tried at',
  quantity: 'speed',
  min: 0,
  max: 100,
  open: 'below',
});

export const DRILL_LIST = {
  name: text({ label: 'Who judges (nickname)', about: 'of whoever judges' }),
};
