import { choice, number, orNothing } from '../description/description';
import { trialKind, type TrialOf } from './kind';

/** A reading with something there, or without. */
export const PRESENCE_TRIAL = trialKind({
  what: 'reading',
  fields: {
    there: choice({
      label: 'Before the sensor',
      title: 'there',
      options: { yes: 'something', no: 'nothing' },
    }),
    reading: orNothing(
      number({
        label: 'Read',
        about: 'as the sensor shows it; empty: nothing came back',
        title: 'reading',
        quantity: 'gain',
        min: -1e6,
        max: 1e6,
      }),
    ),
    batteryV: orNothing(
      number({
        label: 'Battery',
        about: 'empty: not noted',
        title: 'battery_V',
        quantity: 'voltage',
        min: 0,
        max: 60,
      }),
    ),
  },
  readOff: ['reading'],
});

export type PresenceTrialRecord = TrialOf<typeof PRESENCE_TRIAL>;
