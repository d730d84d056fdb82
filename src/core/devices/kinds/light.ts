import { number } from '../../description/description';
import { deviceKind } from '../kind';
import { period, spotDiameter } from './sharedFields';

/** How a light sensor behaves that looks at the floor: it reads the mean over its spot. */
const behaviour = {
  spotDiameterM: spotDiameter,
  floorShare: number({
    label: 'Reads over the floor',
    about: 'what it reads over the bare floor, of 1',
    quantity: 'share',
    min: 0,
    max: 1,
    default: 0.6,
  }),
  lineShare: number({
    label: 'Reads over a line',
    about: 'what it reads over a line, of 1',
    quantity: 'share',
    min: 0,
    max: 1,
    default: 0.12,
  }),
  noiseShare: number({
    label: 'Noise',
    quantity: 'share',
    min: 0,
    max: 1,
    default: 0.012,
  }),
  periodS: period(0.01),
};

export const light = deviceKind({
  kind: 'light sensor',
  letter: 'L',
  connection: 'sensor',
  behaviour,
  channels: [
    {
      name: 'light',
      column: { alone: 'light', ending: '_percent', factor: 100, decimals: 0 },
      reads: { words: 'light', quantity: 'share', most: 1 },
    },
  ],
  hidden: ({ between }) => ({ floorShare: between(0.55, 0.66) }),
  noise: { noiseShare: behaviour.noiseShare },
});
