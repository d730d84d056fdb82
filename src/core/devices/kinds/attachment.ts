import { number } from '../../description/description';
import { countsPerMotorDegree } from '../../description/values';
import { deviceKind } from '../kind';

/** How a motor that moves an attachment behaves. */
const behaviour = {
  countsPerMotorDegree,
  fullRateRadPerS: number({
    label: 'Turns at full power',
    about: 'how fast its motor turns then',
    quantity: 'turning rate',
    min: 0,
    max: 200,
    open: 'below',
    default: 12,
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
