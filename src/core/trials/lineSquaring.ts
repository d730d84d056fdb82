import { number, orNothing, type NumberValue } from '../description/description';
import { trialKind, type TrialOf } from './kind';

const offLine = (when: 'before' | 'after'): NumberValue =>
  number({
    label: `Off the line ${when}`,
    heading: when === 'before' ? 'Before' : 'After',
    title: `${when}_deg`,
    quantity: 'heading',
    min: -1.6,
    max: 1.6,
    beyond: 'are these degrees? radians are expected',
  });

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
    beforeRad: offLine('before'),
    afterRad: offLine('after'),
  },
  readOff: ['beforeRad', 'afterRad'],
});

export type LineSquaringTrialRecord = TrialOf<typeof LINE_SQUARING_TRIAL>;
