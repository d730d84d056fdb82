import { number, type NumberValue } from '../description/description';
import { trialKind, type TrialOf } from './kind';
import { powerShare } from './sharedFields';

const offWall = (when: 'before' | 'after'): NumberValue =>
  number({
    label: `Off the wall ${when}`,
    heading: when === 'before' ? 'Before' : 'After',
    title: `${when}_deg`,
    quantity: 'heading',
    min: -1.6,
    max: 1.6,
  });

/** A robot that was pressed against a wall: how far its heading was off before, and after. */
export const SQUARING_TRIAL = trialKind({
  what: 'press',
  fields: {
    power: powerShare({ label: 'Pressed with' }),
    timeS: number({
      label: 'Time',
      title: 'time_s',
      quantity: 'time',
      min: 0.05,
      max: 20,
    }),
    beforeRad: offWall('before'),
    afterRad: offWall('after'),
  },
  readOff: ['beforeRad', 'afterRad'],
});

export type SquaringTrialRecord = TrialOf<typeof SQUARING_TRIAL>;
