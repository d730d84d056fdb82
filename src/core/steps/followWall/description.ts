import { choice, description, flag, number, type RecordOf } from '../../description/description';
import { say } from '../../description/phrase';
import { speed, ON_TIMEOUT, TIMEOUT, unitOf, UNTIL } from '../sharedFields';

/** Drive along a wall at a reading of a sensor that looks to it, for so much of the way or to the wall's end. */
export const FOLLOW_WALL = description({
  kind: 'follow-wall',
  label: 'Follow a wall',
  fields: {
    side: choice({
      label: 'Which side',
      options: { left: 'left', right: 'right' },
      default: 'left',
    }),
    keepM: number({
      label: 'Reading to keep',
      quantity: 'length',
      min: 0.01,
      max: 3,
      default: 0.1,
    }),
    lengthM: number({
      label: 'Length',
      about: 'it ends after so much of the way',
      quantity: 'length',
      min: 0.01,
      max: 10,
      default: 0.5,
    }),
    toEnd: flag({
      label: 'To the wall’s end',
      about: 'it ends there, too',
      yes: 'or to its end',
      no: 'whatever it reads',
      default: false,
    }),
    speedMPerS: speed(0.12),
    gainRadPerSPerM: number({
      label: 'Wall gain',
      about: 'turning in rad/s for a metre too far from it',
      quantity: 'wall gain',
      min: 0,
      max: 500,
      default: 8,
    }),
  },
  optional: {
    until: UNTIL,
    sensor: unitOf('distance sensor', 'Distance sensor', 'the one that looks there'),
    timeoutS: TIMEOUT,
    onTimeout: ON_TIMEOUT,
  },
  phrase: () => [
    ...say`Follow the wall on the ${'side'}`,
    { ifSet: 'sensor', phrase: say` with distance sensor ${'sensor'}` },
    ...say`, keeping ${'keepM'}, for ${'lengthM'} ${'toEnd'} at ${'speedMPerS'} with gain ${'gainRadPerSPerM'}`,
    { ifSet: 'until', phrase: say`, or until ${'until'}` },
    { ifSet: 'timeoutS', phrase: say`, giving up after ${'timeoutS'}` },
    { ifSet: 'onTimeout', phrase: say`; then it ${'onTimeout'}` },
  ],
});

export type FollowWallStep = RecordOf<typeof FOLLOW_WALL>;
