import { choice, description, flag, number, type RecordOf } from '../../description/description';
import { say, side, size } from '../../description/phrase';
import { HEADING_GAIN, speed, UNTIL, ON_TIMEOUT, TIMEOUT } from '../sharedFields';

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
  optional: {
    until: UNTIL,
    timeoutS: TIMEOUT,
    onTimeout: ON_TIMEOUT,
    strategy: choice({
      label: 'Kept straight',
      leftOut: 'by the heading',
      options: {
        'heading-hold': 'by the heading',
        'encoder-balance': 'by the encoders’ difference',
        'open-loop': 'by nothing',
      },
    }),
    holds: choice({
      label: 'Which heading, which difference',
      about: 'what was planned is held, or what is read as it sets off; left out: as planned',
      leftOut: 'as planned',
      options: { planned: 'as planned', 'as-it-stands': 'as it stands' },
    }),
    balanceGainPerS: number({
      label: 'Balance gain',
      about: 'for "encoder-balance": right minus left speed per difference of the rolls',
      quantity: 'gain',
      min: 0,
      max: 200,
    }),
    ramp: flag({
      label: 'Speeding up',
      leftOut: 'slowly',
      about: 'slowly, and slowing down before the end; else at once',
      yes: 'slowly',
      no: 'at once',
    }),
    joins: flag({
      label: 'At its end',
      leftOut: 'stops',
      about: 'rolls on into the next step, where that drives on the same way; else stops',
      yes: 'rolls on',
      no: 'stops',
    }),
  },
  phrase: ({ strategy }) => [
    ...say`Drive ${size('distanceM')} ${side('distanceM', 'Direction', { plus: 'ahead', minus: 'back' })} at ${'speedMPerS'}`,
    ...(strategy === undefined || strategy === 'heading-hold'
      ? say` with gain ${'gainMPerSPerRad'}`
      : []),
    { ifSet: 'ramp', phrase: say`, speeding up ${'ramp'}` },
    { ifSet: 'strategy', phrase: say`, kept straight ${'strategy'}` },
    ...(strategy === 'encoder-balance'
      ? [{ ifSet: 'balanceGainPerS', phrase: say` with gain ${'balanceGainPerS'}` } as const]
      : []),
    ...(strategy === 'open-loop' ? [] : [{ ifSet: 'holds', phrase: say`, ${'holds'}` } as const]),
    { ifSet: 'joins', phrase: say`, and ${'joins'} at its end` },
    { ifSet: 'until', phrase: say`, or until ${'until'}` },
    { ifSet: 'timeoutS', phrase: say`, giving up after ${'timeoutS'}` },
    { ifSet: 'onTimeout', phrase: say`; then it ${'onTimeout'}` },
  ],
});

export type StraightStep = RecordOf<typeof STRAIGHT>;
