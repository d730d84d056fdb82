import { choice, description, number, type RecordOf } from '../../description/description';
import { UNTIL, ON_TIMEOUT, TIMEOUT } from '../sharedFields';
import { say, side, size } from '../../description/phrase';

/** Which strategies say how early they stop, and which slow down first. */
const STOPS_EARLY = ['stop-early', 'two-speed'];
const SLOWS_DOWN = ['encoder', 'two-speed'];

/** Spin on the spot until the reading is within `leadRad` of the wanted heading. */
export const TURN = description({
  kind: 'turn',
  label: 'Turn',
  fields: {
    mode: choice({
      label: 'To a heading or by an angle',
      about: 'to a heading on the table, or by an angle',
      options: { to: 'to', by: 'by' },
      default: 'to',
    }),
    angleRad: number({ label: 'Angle', quantity: 'angle', min: -20, max: 20 }),
    direction: choice({
      label: 'Which way',
      about: 'for mode "to"',
      options: { short: 'short', left: 'left', right: 'right' },
      default: 'short',
    }),
    rateRadPerS: number({
      label: 'Turning rate',
      quantity: 'turning rate',
      min: 0.05,
      max: 20,
      default: 1.6,
    }),
    leadRad: number({
      label: 'Lead',
      about: 'how much early the motors stop; negative: late',
      quantity: 'angle',
      min: -0.5,
      max: 1.5,
      default: 0.08,
    }),
  },
  optional: {
    until: UNTIL,
    timeoutS: TIMEOUT,
    onTimeout: ON_TIMEOUT,
    about: choice({
      label: 'About what',
      leftOut: 'on the spot',
      options: {
        centre: 'on the spot',
        'left-wheel': 'about the left wheel',
        'right-wheel': 'about the right wheel',
      },
    }),
    strategy: choice({
      label: 'How it stops',
      leftOut: 'stopping early',
      options: {
        'stop-early': 'stopping early',
        encoder: 'by the encoders, slowing',
        'two-speed': 'slower',
        proportional: 'slowing with what is left',
      },
    }),
    slowRateRadPerS: number({
      label: 'Slow rate',
      about: 'of the strategies that slow down',
      quantity: 'turning rate',
      min: 0.05,
      max: 20,
    }),
    slowFromRad: number({
      label: 'Slow for the last',
      about: 'for "two-speed"',
      quantity: 'angle',
      min: 0,
      max: 3.2,
    }),
    kpPerS: number({
      label: 'Turn gain',
      about: 'for "proportional": rate per angle left',
      quantity: 'gain',
      min: 0,
      max: 100,
    }),
  },
  phrase: ({ mode, direction, strategy = 'stop-early' }) => [
    ...say`Turn ${'mode'} `,
    ...(mode === 'by'
      ? say`${size('angleRad')} to the ${side('angleRad', 'Direction', { plus: 'left', minus: 'right' })}`
      : say`${{ slot: 'angleRad', label: 'Heading', quantity: 'heading' }}, `),
    ...(mode === 'by'
      ? []
      : direction === 'short'
        ? say`the ${'direction'} way`
        : say`to the ${'direction'}`),
    ...say`, at ${'rateRadPerS'}`,
    ...(STOPS_EARLY.includes(strategy) ? say`, stopping ${'leadRad'} early` : []),
    { ifSet: 'about', phrase: say`, ${'about'}` },
    { ifSet: 'strategy', phrase: say`, ${'strategy'}` },
    ...(SLOWS_DOWN.includes(strategy)
      ? [{ ifSet: 'slowRateRadPerS', phrase: say`, slow at ${'slowRateRadPerS'}` } as const]
      : []),
    ...(strategy === 'two-speed'
      ? [{ ifSet: 'slowFromRad', phrase: say` for the last ${'slowFromRad'}` } as const]
      : []),
    ...(strategy === 'proportional'
      ? [{ ifSet: 'kpPerS', phrase: say`, with gain ${'kpPerS'}` } as const]
      : []),
    { ifSet: 'until', phrase: say`, or until ${'until'}` },
    { ifSet: 'timeoutS', phrase: say`, giving up after ${'timeoutS'}` },
    { ifSet: 'onTimeout', phrase: say`; then it ${'onTimeout'}` },
  ],
});

export type TurnStep = RecordOf<typeof TURN>;
