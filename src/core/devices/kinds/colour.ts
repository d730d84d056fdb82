import { flag, number } from '../../description/description';
import type { DeviceChannel } from '../channel';
import { deviceKind } from '../kind';
import { period, spotDiameter } from './sharedFields';

/** How a colour sensor behaves that looks at the floor: in each band it reads the mean over its spot. */
const behaviour = {
  spotDiameterM: spotDiameter,
  whiteShare: number({
    label: 'Reads over white',
    about: 'what each channel reads over white, of 1',
    quantity: 'share',
    min: 0,
    max: 1,
    default: 0.85,
  }),
  blackShare: number({
    label: 'Reads over black',
    about: 'what each channel reads over black, of 1',
    quantity: 'share',
    min: 0,
    max: 1,
    default: 0.04,
  }),
  noiseShare: number({ label: 'Noise', quantity: 'share', min: 0, max: 1, default: 0.006 }),
  hasClear: flag({
    label: 'Clear channel',
    about: 'whether it also reads all of the light at once',
    yes: 'has one',
    no: 'has none',
    default: false,
  }),
  periodS: period(0.01),
};

const channel = (name: string): DeviceChannel => ({
  name,
  column: { alone: 'colour', ending: `_${name}_share`, factor: 1, decimals: 3 },
  reads: { words: name, quantity: 'share', most: 1 },
});

export const colour = deviceKind({
  kind: 'colour sensor',
  letter: 'C',
  connection: 'sensor',
  behaviour,
  channels: [
    channel('red'),
    channel('green'),
    channel('blue'),
    { ...channel('clear'), onlyWith: 'hasClear' },
  ],
  hidden: ({ between }) => ({ whiteShare: between(0.75, 0.95) }),
  noise: { noiseShare: behaviour.noiseShare },
});
