import type { Fields } from '../../description/description';
import { TURN_LIST, LAP_LIST, STRAIGHT_LIST } from './driving';
import { RANGE_LIST, STOP_LIST } from './distance';
import { PLACING_LIST } from './start';
import { GAIN_LIST, DRILL_LIST } from './control';
import { LIGHT_LIST, COLOUR_LIST } from './light';
import { PRESENCE_LIST, FAULT_LIST } from './presence';
import { ATTACHMENT_LIST } from './attachments';

/* What a list of trials says of all of them, each value described once. */

/** What the lists of each procedure say, by its name. */
export const LISTS: Readonly<Record<string, Fields>> = {
  turns: TURN_LIST,
  square: LAP_LIST,
  straight: STRAIGHT_LIST,
  range: RANGE_LIST,
  stop: STOP_LIST,
  placing: PLACING_LIST,
  gains: GAIN_LIST,
  light: LIGHT_LIST,
  colours: COLOUR_LIST,
  presence: PRESENCE_LIST,
  'guilty-part': FAULT_LIST,
  attachments: ATTACHMENT_LIST,
  drill: DRILL_LIST,
};
