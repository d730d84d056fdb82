import {
  choice,
  number,
  orNothing,
  text,
  themselves,
  type Fields,
} from '../description/description';
import { driftRadPerS, readToM, sideM } from '../description/values';
import { HOMES_BY } from '../attachments/goingHome';
import { ROLL_OVERS, type RollOver } from '../attachments/rollOver';
import { KEPT_BY } from '../drive/straightGroups';
import { WANTED } from '../ranging/description';
import { STOPS_BY, type StopKind } from '../ranging/stopsBy';
import { TUNED_IDS } from '../robot/tunedIds';

/* What a list of trials says of all of them, each value described once. */

/** Under what they were made: every list has these. */
export const MADE_UNDER = {
  surface: text({ label: 'Surface' }),
  battery: text({ label: 'Battery' }),
  who: text({ label: 'Measured by (nickname)' }),
  readToM,
};

export const TURN_LIST = {
  driftRadPerS: { ...driftRadPerS, hint: 'taken out of every trial', min: -1, max: 1 },
  readingSdRad: number({
    label: 'Protractor good to ±',
    about: 'of whoever reads the protractor',
    quantity: 'angle',
    min: 0,
    max: 0.2,
  }),
  stopMode: choice({
    label: 'On a stop the motors',
    options: themselves(['coast', 'brake', 'hold']),
  }),
};

export const LAP_LIST = {
  sideM,
  driven: choice({
    label: 'Sides and turns by',
    options: { encoders: 'encoders, heading hold off', gyro: 'the gyro' },
  }),
  corners: choice({
    label: 'Corners',
    options: { spin: 'on the spot', pivot: 'inner wheel stands' },
    default: 'spin',
  }),
  lapS: orNothing(
    number({ label: 'A lap takes', about: 'what a lap takes', quantity: 'time', min: 1, max: 600 }),
  ),
};

export const STRAIGHT_LIST = {
  keep: choice({ label: 'Kept straight by', options: KEPT_BY }),
};

export const RANGE_LIST = {
  toleranceM: number({
    label: 'Tolerance',
    quantity: 'small length',
    min: 0,
    max: 1,
    open: 'below',
    beyond: 'expected at most 1 m: are these millimetres? metres are expected',
  }),
  shows: choice({
    label: 'It shows',
    options: themselves(['a length', 'volts']),
    default: 'a length',
  }),
};

export const STOP_LIST = {
  ...WANTED,
  speedMPerS: number({ label: WANTED.speedMPerS.label, quantity: 'speed', min: 0.01, max: 5 }),
  samplePeriodS: number({
    label: WANTED.samplePeriodS.label,
    quantity: 'short time',
    min: 0.001,
    max: 1,
  }),
  timeAtHandS: number({
    label: 'Time at hand',
    quantity: 'time',
    min: 0.1,
    max: 120,
    default: 3,
  }),
  by: choice({
    label: 'Stopped by',
    about: 'what ends the drive that is tried now',
    options: Object.fromEntries(
      Object.entries(STOPS_BY).map(([kind, { title }]) => [kind, title]),
    ) as Record<StopKind, string>,
    default: 'distance',
  }),
};

/** Of the robot that is placed: what its nose and tail on a grid say of its axle. */
export const PLACING_LIST = {
  noseToTailM: number({ label: 'Nose to tail', quantity: 'small length', min: 0.02, max: 2 }),
  noseToAxleM: number({ label: 'Nose to axle', quantity: 'small length', min: 0, max: 2 }),
};

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

/** What a program may read light in: the largest reading of each, where there is one. */
export const LIGHT_LIST = {
  scale: choice({
    label: 'The sensor shows',
    options: {
      percent: 'percent',
      share: '0 to 1',
      byte: '0 to 255',
      counts: 'counts',
    },
    default: 'percent',
  }),
  full: orNothing(
    number({
      label: 'Largest count, if known',
      about: 'of counts; null: not known',
      quantity: 'ratio',
      min: 0,
      max: 1e9,
      open: 'below',
    }),
  ),
  venue: text({ label: 'Where', about: 'the venue: “home table”', default: '' }),
  lighting: text({ label: 'Light there', about: 'lamps, daylight, dark', default: '' }),
  programs: orNothing(
    number({
      label: 'Your program compares with',
      about: 'the threshold in use; null: not told',
      quantity: 'gain',
      min: -1e6,
      max: 1e6,
    }),
  ),
};

const largest = (label: string, about: string) =>
  orNothing(number({ label, about, quantity: 'gain', min: 0, max: 1e6, open: 'below' }));

/** In which form a colour sensor shows what it sees. */
export const COLOUR_LIST = {
  shows: choice({
    label: 'The sensor shows',
    options: {
      rgb: 'red, green, blue',
      hsv: 'hue, saturation, value',
      hue: 'hue alone',
      class: 'a colour’s name',
    },
    default: 'rgb',
  }),
  full: largest('Largest count, if known', 'of red, green, blue; null: as the readings show'),
  fullHue: largest('A whole turn of hue is', 'null: 360'),
  fullShare: largest('Largest saturation and value', 'null: as the readings show'),
  divisor: largest('Your program divides each count by', 'null: it uses counts as they are'),
  keepsTo: largest('And keeps it to at most', 'null: it cuts nothing off'),
};

/** How something in the way is noticed; passes are counted where nothing is logged. */
const passes = (label: string, about: string) =>
  orNothing(number({ label, about, quantity: 'gain', min: 0, max: 100_000, whole: true }));
export const PRESENCE_LIST = {
  by: text({ label: 'By which sensor', about: 'its label', default: '' }),
  target: text({ label: 'What is there', about: 'its colour and material', default: '' }),
  passes: passes('Passes with something there', 'null: none was counted'),
  caught: passes('Noticed', 'of those passes'),
  absentPasses: passes('Passes with nothing there', 'null: none was counted'),
  falseAlarms: passes('Noticed all the same', 'of those passes'),
};

export const FAULT_LIST = {
  what: text({ label: 'What misbehaves', about: '“an echo is lost”', default: '' }),
};

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

export const DRILL_LIST = {
  name: text({ label: 'Who judges (nickname)', about: 'of whoever judges' }),
};

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
