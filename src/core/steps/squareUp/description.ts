import { description, flag, number, type RecordOf } from '../../description/description';
import { say } from '../../description/phrase';
import { ON_TIMEOUT, speed, TIMEOUT, UNTIL } from '../sharedFields';

/** Press against the border, a wall or an obstacle, and take the heading for the wall's. */
export const SQUARE_UP = description({
  kind: 'square-up',
  label: 'Square up',
  fields: {
    back: flag({
      label: 'Direction',
      about: 'with the back of the robot; else with its front',
      yes: 'back',
      no: 'ahead',
      default: true,
    }),
    speedMPerS: speed(0.15),
    pressS: number({
      label: 'Pressing',
      about: 'pressing, after it has come to the wall',
      quantity: 'time',
      min: 0.1,
      max: 10,
      default: 1,
    }),
  },
  optional: { until: UNTIL, timeoutS: TIMEOUT, onTimeout: ON_TIMEOUT },
  phrase: () => [
    ...say`Drive ${'back'} against the wall at ${'speedMPerS'}, press for ${'pressS'}, and take the heading for the wall’s`,
    { ifSet: 'until', phrase: say`, or until ${'until'}` },
    { ifSet: 'timeoutS', phrase: say`, giving up after ${'timeoutS'}` },
    { ifSet: 'onTimeout', phrase: say`; then it ${'onTimeout'}` },
  ],
});

export type SquareUpStep = RecordOf<typeof SQUARE_UP>;
