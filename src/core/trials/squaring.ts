import { timeS } from '../description/values';
import { trialKind, type TrialOf } from './kind';
import { offAfter, offBefore, powerShare } from './sharedFields';

/** A robot that was pressed against a wall: how far its heading was off before, and after. */
export const SQUARING_TRIAL = trialKind({
  what: 'press',
  fields: {
    power: powerShare({ label: 'Pressed with' }),
    timeS: timeS({ label: 'Time', title: 'time_s' }),
    beforeRad: offBefore('wall'),
    afterRad: offAfter('wall'),
  },
  readOff: ['beforeRad', 'afterRad'],
});

export type SquaringTrialRecord = TrialOf<typeof SQUARING_TRIAL>;
