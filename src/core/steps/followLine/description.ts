import { choice, description, number, type RecordOf } from '../../description/description';
import { say } from '../../description/phrase';
import { DARKER, speed, ON_TIMEOUT, TIMEOUT, unitOf, UNTIL } from '../sharedFields';

/** Drive along a line's edge, or astride it with two sensors, for so much of the way or to the n-th crossing. */
export const FOLLOW_LINE = description({
  kind: 'follow-line',
  label: 'Follow a line',
  fields: {
    side: choice({
      label: 'Which edge',
      about: 'of the line, seen as the robot drives',
      options: { left: 'left', right: 'right' },
      default: 'left',
    }),
    darker: DARKER,
    lengthM: number({
      label: 'Length',
      about: 'it ends after so much of the way',
      quantity: 'length',
      min: 0.01,
      max: 10,
      default: 0.3,
    }),
    speedMPerS: speed(0.12),
    gainRadPerS: number({
      label: 'Line gain',
      about: 'turning in rad/s for a reading that is off by all of its scale',
      quantity: 'line gain',
      min: 0,
      max: 200,
      default: 5,
    }),
  },
  optional: {
    until: UNTIL,
    sensor: unitOf('light sensor', 'Light sensor'),
    astride: unitOf('light sensor', 'On the other side', 'none: one edge'),
    target: number({
      label: 'Reading to keep',
      about: 'of full scale; left out: the middle between line and floor',
      quantity: 'share',
      min: 0,
      max: 1,
    }),
    crossings: number({
      label: 'Or at which crossing',
      about: 'it ends at this line across, as another sensor comes onto it',
      quantity: 'gain',
      whole: true,
      min: 1,
      max: 50,
    }),
    crossingSensor: unitOf('light sensor', 'Seen by', 'another one'),
    timeoutS: TIMEOUT,
    onTimeout: ON_TIMEOUT,
  },
  phrase: () => [
    ...say`Follow the ${'side'} edge of a line ${'darker'} than the floor`,
    { ifSet: 'sensor', phrase: say` with light sensor ${'sensor'}` },
    { ifSet: 'astride', phrase: say`, astride it with ${'astride'}` },
    { ifSet: 'target', phrase: say`, keeping ${'target'}` },
    ...say` for ${'lengthM'} at ${'speedMPerS'} with gain ${'gainRadPerS'}`,
    { ifSet: 'crossings', phrase: say`, or to crossing ${'crossings'}` },
    { ifSet: 'crossingSensor', phrase: say`, seen by ${'crossingSensor'}` },
    { ifSet: 'until', phrase: say`, or until ${'until'}` },
    { ifSet: 'timeoutS', phrase: say`, giving up after ${'timeoutS'}` },
    { ifSet: 'onTimeout', phrase: say`; then it ${'onTimeout'}` },
  ],
});

export type FollowLineStep = RecordOf<typeof FOLLOW_LINE>;
