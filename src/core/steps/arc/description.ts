import { description, number, type RecordOf } from '../../description/description';
import { say, side, size } from '../../description/phrase';
import { BACK, HEADING_GAIN, speed, ON_TIMEOUT, TIMEOUT, UNTIL } from '../sharedFields';

/** Drive along an arc by the encoders, the heading held to what the way wants it to be. */
export const ARC = description({
  kind: 'arc',
  label: 'Arc',
  fields: {
    radiusM: number({
      label: 'Radius',
      about: 'of the way of the axle’s middle',
      quantity: 'length',
      min: 0.01,
      max: 10,
      default: 0.2,
    }),
    angleRad: number({
      label: 'Angle',
      about: 'by so much the heading changes; negative: to the right',
      quantity: 'angle',
      min: -20,
      max: 20,
      default: 1.5708,
    }),
    back: BACK,
    speedMPerS: speed(0.2),
    gainMPerSPerRad: HEADING_GAIN,
  },
  optional: { until: UNTIL, timeoutS: TIMEOUT, onTimeout: ON_TIMEOUT },
  phrase: () => [
    ...say`Drive an arc ${'back'} of radius ${'radiusM'}, by ${size('angleRad')} to the ${side('angleRad', 'Side', { plus: 'left', minus: 'right' })}, at ${'speedMPerS'} with gain ${'gainMPerSPerRad'}`,
    { ifSet: 'until', phrase: say`, or until ${'until'}` },
    { ifSet: 'timeoutS', phrase: say`, giving up after ${'timeoutS'}` },
    { ifSet: 'onTimeout', phrase: say`; then it ${'onTimeout'}` },
  ],
});

export type ArcStep = RecordOf<typeof ARC>;
