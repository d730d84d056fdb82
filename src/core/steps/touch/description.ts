import { description, reference, type RecordOf } from '../../description/description';
import { say } from '../../description/phrase';
import { BACK, HEADING_GAIN, speed, ON_TIMEOUT, TIMEOUT, UNTIL } from '../sharedFields';

/** In place of a sensor: the wheels no longer turn. */
export const STALL = 'stall';

/** Drive until a bumper is pressed, or until the wheels are held. */
export const TOUCH = description({
  kind: 'touch',
  label: 'Until touch',
  fields: {
    sensor: reference({
      label: 'Felt by',
      about: 'the label of a touch sensor, or “stall”: the wheels are held',
      to: 'touch sensor',
      also: { [STALL]: 'held wheels' },
      default: STALL,
    }),
    back: BACK,
    speedMPerS: speed(0.1),
    gainMPerSPerRad: HEADING_GAIN,
  },
  optional: { until: UNTIL, timeoutS: TIMEOUT, onTimeout: ON_TIMEOUT },
  phrase: () => [
    ...say`Drive ${'back'} until touch, felt by ${'sensor'}, at ${'speedMPerS'} with gain ${'gainMPerSPerRad'}`,
    { ifSet: 'until', phrase: say`, or until ${'until'}` },
    { ifSet: 'timeoutS', phrase: say`, giving up after ${'timeoutS'}` },
    { ifSet: 'onTimeout', phrase: say`; then it ${'onTimeout'}` },
  ],
});

export type TouchStep = RecordOf<typeof TOUCH>;
