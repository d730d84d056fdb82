import { timeS } from '../description/values';
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
    beyond: 'are these degrees? radians are expected',
  });

/** A robot that was pressed against a wall: how far its heading was off before, and after. */
export const SQUARING_TRIAL = trialKind({
  what: 'press',
  fields: {
    power: powerShare({ label: 'Pressed with' }),
    timeS: timeS({ label: 'Time', title: 'time_s' }),
    beforeRad: offWall('before'),
    afterRad: offWall('after'),
  },
  readOff: ['beforeRad', 'afterRad'],
});

export type SquaringTrialRecord = TrialOf<typeof SQUARING_TRIAL>;
