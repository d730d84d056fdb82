import { choice, number, orNothing, text, themselves } from '../../description/description';
import { WANTED } from '../../ranging/description';
import { STOPS_BY, type StopKind } from '../../ranging/stopsBy';

export const RANGE_LIST = {
  target: text({ label: 'What it looks at', about: 'its colour and material', default: '' }),
  batteryV: orNothing(
    number({
      label: 'Battery stood at',
      about: 'while it was read; null: not noted',
      quantity: 'voltage',
      min: 0,
      max: 60,
      open: 'below',
    }),
  ),
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
