import { choice, description, number, type RecordOf } from '../../description/description';
import { say, side, size } from '../../description/phrase';

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
  phrase: ({ mode, direction }) => [
    ...say`Turn ${'mode'} `,
    ...(mode === 'by'
      ? say`${size('angleRad')} to the ${side('angleRad', 'Direction', { plus: 'left', minus: 'right' })}`
      : say`${{ slot: 'angleRad', label: 'Heading', quantity: 'heading' }}, `),
    ...(mode === 'by'
      ? []
      : direction === 'short'
        ? say`the ${'direction'} way`
        : say`to the ${'direction'}`),
    ...say`, at ${'rateRadPerS'}, stopping ${'leadRad'} early`,
  ],
});

export type TurnStep = RecordOf<typeof TURN>;
