import { choice, description, number, type RecordOf } from '../../description/description';
import { say } from '../../description/phrase';
import {
  DARKER,
  BACK,
  HEADING_GAIN,
  speed,
  ON_TIMEOUT,
  TIMEOUT,
  unitOf,
  UNTIL,
} from '../sharedFields';

/** Drive until a light sensor has come to, or over, so many lines; fails at the time-out. */
export const TO_LINE = description({
  kind: 'to-line',
  label: 'To a line',
  fields: {
    count: number({
      label: 'Which line',
      about: 'it stops at this one, counted from where it begins',
      quantity: 'gain',
      min: 1,
      max: 50,
      whole: true,
      default: 1,
    }),
    on: choice({
      label: 'Onto it or off it',
      options: { entering: 'goes onto', leaving: 'has come off' },
      default: 'entering',
    }),
    darker: DARKER,
    back: BACK,
    speedMPerS: speed(0.15),
    gainMPerSPerRad: HEADING_GAIN,
  },
  optional: {
    sensor: unitOf('light sensor', 'Light sensor'),
    until: UNTIL,
    timeoutS: TIMEOUT,
    onTimeout: ON_TIMEOUT,
  },
  phrase: () => [
    ...say`Drive ${'back'} until the light sensor`,
    { ifSet: 'sensor', phrase: say` ${'sensor'}` },
    ...say` ${'on'} line ${'count'}, ${'darker'} than the floor, at ${'speedMPerS'} with gain ${'gainMPerSPerRad'}`,
    { ifSet: 'until', phrase: say`, or until ${'until'}` },
    { ifSet: 'timeoutS', phrase: say`, giving up after ${'timeoutS'}` },
    { ifSet: 'onTimeout', phrase: say`; then it ${'onTimeout'}` },
  ],
});

export type ToLineStep = RecordOf<typeof TO_LINE>;
