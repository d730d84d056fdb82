import { lengthM, speedMPerS as speed } from '../description/values';
import { choice, number } from '../description/description';
import { STOPS_BY, type StopKind } from '../ranging/stopsBy';
import { trialKind, type EntryOf, type TrialOf } from './kind';

const words = Object.fromEntries(
  Object.entries(STOPS_BY).map(([kind, { title }]) => [kind, title]),
) as Record<StopKind, string>;

const speedMPerS = speed({ label: 'Driven at', heading: 'At', title: 'speed_mm_per_s' });
const thresholdM = lengthM({
  label: 'Told to stop at a gap of',
  about: 'from the bumper to the wall, as it was told; 0 where no distance ends it',
  heading: 'Told',
  title: 'threshold_cm',
  min: -0.5,
});
const stopM = lengthM({
  label: 'Truly stood at',
  about: 'from the bumper to the wall, or short of its mark, where it stood',
  hint: 'from the bumper to the wall',
  heading: 'Stood at',
  title: 'true_gap_cm',
  min: -0.5,
});

/** A drive that something ended: where it was told to stop, and where it stood. */
export const STOP_TRIAL = trialKind({
  what: 'stop',
  fields: {
    by: choice({
      label: 'Ended by',
      about: 'distance, line, touch or encoder: what ended the drive',
      heading: 'By',
      title: 'by',
      options: words,
      default: 'distance',
    }),
    speedMPerS,
    thresholdM,
    stopM,
  },
  readOff: ['stopM'],
});

/** One while it is entered: where no distance ends the drive, it is read how far past its mark it stood. */
export const STOP_ENTRY = trialKind({
  what: 'stop',
  fields: {
    speedMPerS,
    thresholdM,
    stopM,
    overM: number({
      label: 'Stood past its mark by',
      quantity: 'small length',
      min: -stopM.max,
      max: -stopM.min,
    }),
  },
  readOff: ['stopM', 'overM'],
});

export type StopTrialRecord = TrialOf<typeof STOP_TRIAL>;
export type StopEntryValues = EntryOf<typeof STOP_ENTRY>;
