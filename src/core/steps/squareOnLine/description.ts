import { description, number, type RecordOf } from '../../description/description';
import { say } from '../../description/phrase';
import { DARKER, speed, ON_TIMEOUT, TIMEOUT, unitOf, UNTIL } from '../sharedFields';

/** Each side drives until its own light sensor is on the line; then, if told, back a little and on again. */
export const SQUARE_ON_LINE = description({
  kind: 'square-on-line',
  label: 'Square on a line',
  fields: {
    darker: DARKER,
    speedMPerS: speed(0.1),
  },
  optional: {
    left: unitOf('light sensor', 'Left light sensor', 'furthest left'),
    right: unitOf('light sensor', 'Right light sensor', 'furthest right'),
    secondMPerS: number({
      label: 'Second pass',
      about: 'backed off for first; left out: there is none',
      quantity: 'speed',
      min: 0.01,
      max: 5,
    }),
    until: UNTIL,
    timeoutS: TIMEOUT,
    onTimeout: ON_TIMEOUT,
  },
  phrase: () => [
    ...say`Square on a line, ${'darker'} than the floor`,
    { ifSet: 'left', phrase: say`, on the left by ${'left'}` },
    { ifSet: 'right', phrase: say`, on the right by ${'right'}` },
    ...say`, at ${'speedMPerS'}`,
    { ifSet: 'secondMPerS', phrase: say`, then once more at ${'secondMPerS'}` },
    ...say`, and take the heading for the planned one`,
    { ifSet: 'until', phrase: say`, or until ${'until'}` },
    { ifSet: 'timeoutS', phrase: say`, giving up after ${'timeoutS'}` },
    { ifSet: 'onTimeout', phrase: say`; then it ${'onTimeout'}` },
  ],
});

export type SquareOnLineStep = RecordOf<typeof SQUARE_ON_LINE>;
