import { flag, number } from '../../description/description';
import { deviceKind } from '../kind';

/** How a touch sensor behaves: whatever comes near enough to where it sits, in the direction it looks, presses it. */
const behaviour = {
  reachM: number({
    label: 'Pressed within',
    about: 'pressed by what is no farther off than this',
    quantity: 'small length',
    min: 0,
    max: 0.05,
    open: 'below',
    default: 0.003,
  }),
  readsWhilePressed: flag({
    label: 'Pressed, it reads',
    about: 'many switches read false while pressed',
    yes: '1, or true',
    no: '0, or false',
    default: true,
  }),
};

export const touch = deviceKind({
  kind: 'touch sensor',
  letter: 'T',
  connection: 'sensor',
  behaviour,
  note: ({ readsWhilePressed }) => (readsWhilePressed ? '' : 'reads false while pressed'),
  faces: true,
  channels: [
    {
      name: 'touch',
      // A robot's own button is the column "touch".
      column: { alone: 'bumper', ending: '_touch', factor: 1, decimals: 0 },
      reads: {
        words: 'bumper',
        quantity: 'ratio',
        most: 1,
        states: { above: 'pressed', below: 'let go' },
      },
    },
  ],
  noise: null,
});
