import { lengthM, timeS } from '../description/values';
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
      min: 0.1,
      max: 60,
      wanted: 'expected at least 0.1 V',
    }),
    distanceM: lengthM({
      label: 'It drove',
      hint: '0: it stood',
      title: 'distance_mm',
      min: 0,
    }),
    timeS: timeS({ label: 'Time', hint: 'without the start', title: 'time_s' }),
  },
  readOff: ['timeS'],
});

export type SpeedTrialRecord = TrialOf<typeof SPEED_TRIAL>;
