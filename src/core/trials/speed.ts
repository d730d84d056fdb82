import { number } from '../description/description';
import { trialKind, type TrialOf } from './kind';
import { powerShare } from './sharedFields';

/** A drive at a share of full power, timed. */
export const SPEED_TRIAL = trialKind({
  what: 'drive',
  fields: {
    command: powerShare({ label: 'Told', hint: 'of full power' }),
    batteryV: number({
      label: 'Battery',
      title: 'battery_V',
      quantity: 'voltage',
      min: 1,
      max: 60,
    }),
    distanceM: number({
      label: 'It drove',
      hint: '0: it stood',
      title: 'distance_mm',
      quantity: 'length',
      min: 0,
      max: 20,
    }),
    timeS: number({
      label: 'Time',
      hint: 'without the start',
      title: 'time_s',
      quantity: 'time',
      min: 0.1,
      max: 120,
    }),
  },
  readOff: ['timeS'],
});

export type SpeedTrialRecord = TrialOf<typeof SPEED_TRIAL>;
