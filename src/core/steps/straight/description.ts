import { description, number, type RecordOf } from '../../description/description';
import { say, side, size } from '../../description/phrase';
import { HEADING_GAIN, speed } from '../sharedFields';

/** Drive by the encoders; the heading is held by the gyro: wheel difference = gain · heading error. */
export const STRAIGHT = description({
  kind: 'straight',
  label: 'Drive',
  fields: {
    distanceM: number({
      label: 'Distance',
      about: 'negative drives backwards',
      quantity: 'length',
      min: -10,
      max: 10,
    }),
    speedMPerS: speed(0.3),
    gainMPerSPerRad: HEADING_GAIN,
  },
  phrase: () =>
    say`Drive ${size('distanceM')} ${side('distanceM', 'Direction', { plus: 'ahead', minus: 'back' })} at ${'speedMPerS'} with gain ${'gainMPerSPerRad'}`,
});

export type StraightStep = RecordOf<typeof STRAIGHT>;
