import { number } from '../../description/description';
import { STILL_SETTINGS } from './stillDefaults';

/* The values of a still check, each described once. */

/** What a coach may set. */
export const SETTINGS = {
  driftShare: number({
    label: 'Of what a run can bear, drift may use up',
    about: 'of the tolerance, that drift may use up in a run',
    quantity: 'share',
    min: 0.02,
    max: 1,
    default: STILL_SETTINGS.driftShare,
  }),
  healthyRadPerS: number({
    label: 'Started badly from',
    hint: 'a healthy sensor drifts less',
    quantity: 'drift size',
    min: 0,
    max: 0.2,
    open: 'below',
    default: STILL_SETTINGS.healthyRadPerS,
  }),
};

/** Where a robot with a small screen is read twice. */
export const TYPED = {
  shown: number({ label: 'It shows', quantity: 'angle', min: -2000, max: 2000 }),
  durationS: number({ label: 'and after', quantity: 'time', min: 10, max: 1800 }),
  stepRad: number({
    label: 'Its screen counts in steps of',
    hint: 'the longer the time, the less this matters',
    quantity: 'angle',
    min: 0,
    max: 1,
    open: 'below',
  }),
};

/** Until the next run. */
export const TIME_LEFT = number({
  label: 'Time before the next run',
  quantity: 'time',
  min: 0,
  max: 3600,
});
