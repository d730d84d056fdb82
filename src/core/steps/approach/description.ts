import { description, number, type RecordOf } from '../../description/description';
import { say } from '../../description/phrase';
import { HEADING_GAIN, speed, ON_TIMEOUT, TIMEOUT, unitOf, UNTIL } from '../sharedFields';

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
    until: UNTIL,
    sensor: unitOf('distance sensor', 'Distance sensor', 'the one that looks ahead'),
    slowMPerS: number({
      label: 'Slow speed',
      about: 'of the last piece; left out: one speed',
      quantity: 'speed',
      min: 0.01,
      max: 5,
    }),
    slowFromM: number({
      label: 'Slow from',
      about: 'the reading from which on it is slow; left out: 10 cm before the threshold',
      quantity: 'length',
      min: 0.005,
      max: 5,
    }),
    timeoutS: TIMEOUT,
    onTimeout: ON_TIMEOUT,
  },
  phrase: () => [
    ...say`Drive until the distance`,
    { ifSet: 'sensor', phrase: say` of ${'sensor'}` },
    ...say` reads ${'thresholdM'} or less, at ${'speedMPerS'} with gain ${'gainMPerSPerRad'}`,
    { ifSet: 'slowMPerS', phrase: say`, then at ${'slowMPerS'}` },
    { ifSet: 'slowFromM', phrase: say` from ${'slowFromM'} on` },
    { ifSet: 'until', phrase: say`, or until ${'until'}` },
    { ifSet: 'timeoutS', phrase: say`, giving up after ${'timeoutS'}` },
    { ifSet: 'onTimeout', phrase: say`; then it ${'onTimeout'}` },
  ],
});

export type ApproachStep = RecordOf<typeof APPROACH>;
