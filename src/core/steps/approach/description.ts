import { description, number, type RecordOf } from '../../description/description';
import { say } from '../../description/phrase';
import { HEADING_GAIN, speed, TIMEOUT } from '../sharedFields';

/** Drive until the distance reading is at or below a threshold; fails at the time-out. */
export const APPROACH = description({
  kind: 'approach',
  label: 'Approach',
  fields: {
    thresholdM: number({ label: 'Threshold', quantity: 'length', min: 0.005, max: 5 }),
    speedMPerS: speed(0.15),
    gainMPerSPerRad: HEADING_GAIN,
  },
  optional: {
    timeoutS: TIMEOUT,
  },
  phrase: () => [
    ...say`Drive until the distance reads ${'thresholdM'} or less, at ${'speedMPerS'} with gain ${'gainMPerSPerRad'}`,
    { ifSet: 'timeoutS', phrase: say`, giving up after ${'timeoutS'}` },
  ],
});

export type ApproachStep = RecordOf<typeof APPROACH>;
