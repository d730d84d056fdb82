import { number, orNothing } from '../description/description';
import { trialKind, type TrialOf } from './kind';
import { offAfter, offBefore } from './sharedFields';

/** A robot that was squared on a line by two light sensors: how far its heading was off before, and after. */
export const LINE_SQUARING_TRIAL = trialKind({
  what: 'squaring',
  fields: {
    speedMPerS: number({
      label: 'First pass at',
      heading: 'First',
      title: 'speed_mm_per_s',
      quantity: 'speed',
      min: 0,
      max: 5,
      open: 'below',
    }),
    secondMPerS: orNothing(
      number({
        label: 'Second pass at',
        heading: 'Second',
        about: 'empty: there was none',
        title: 'second_mm_per_s',
        quantity: 'speed',
        min: 0,
        max: 5,
        open: 'below',
      }),
    ),
    beforeRad: offBefore('line'),
    afterRad: offAfter('line'),
  },
  readOff: ['beforeRad', 'afterRad'],
});

export type LineSquaringTrialRecord = TrialOf<typeof LINE_SQUARING_TRIAL>;
