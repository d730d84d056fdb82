import { number } from '../../description/description';
import { deviceKind } from '../kind';

/** How a motor that moves an attachment behaves. */
const behaviour = {
  countsPerMotorDegree: number({
    label: 'Counts per motor degree',
    quantity: 'ratio',
    min: 0,
    max: 10_000,
    open: 'below',
    default: 1,
  }),
};

export const attachment = deviceKind({
  kind: 'attachment motor',
  letter: 'A',
  connection: 'motor',
  behaviour,
  channels: [
    {
      name: 'angle',
      column: { alone: 'attachment', ending: '_deg', factor: 1, decimals: 0 },
      reads: null,
    },
  ],
  noise: null,
});
