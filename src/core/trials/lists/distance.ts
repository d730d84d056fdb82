import { choice, number, themselves } from '../../description/description';
import { WANTED } from '../../ranging/description';
import { STOPS_BY, type StopKind } from '../../ranging/stopsBy';

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
