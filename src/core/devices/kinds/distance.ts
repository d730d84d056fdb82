import { number } from '../../description/description';
import { deviceKind } from '../kind';
import { period } from './sharedFields';

/** How a distance sensor behaves: reading = offset + scale · true distance, and what scatters. */
const behaviour = {
  offsetM: number({
    label: 'Offset',
    about: 'reading = offset + scale · true',
    quantity: 'small length',
    min: -5,
    max: 5,
    default: 0,
  }),
  scale: number({
    label: 'Scale',
    quantity: 'ratio',
    min: 0,
    max: 10,
    open: 'below',
    default: 1,
  }),
  noiseM: number({
    label: 'Noise',
    quantity: 'small length',
    min: 0,
    max: 1,
    default: 0.003,
  }),
  beamHalfAngleRad: number({
    label: 'Half beam',
    quantity: 'angle',
    min: 0,
    max: 1.2,
    default: 0.2,
  }),
  lostEchoShare: number({
    label: 'Lost echoes',
    quantity: 'share',
    min: 0,
    max: 0.9,
    default: 0.01,
  }),
  minM: number({
    label: 'Nearest',
    quantity: 'length',
    min: 0,
    max: 20,
    default: 0.03,
  }),
  maxM: number({
    label: 'Farthest',
    quantity: 'length',
    min: 0,
    max: 20,
    open: 'below',
    default: 2,
  }),
  quantumM: number({
    label: 'Smallest step',
    quantity: 'small length',
    min: 0,
    max: 1,
    default: 0.001,
  }),
  periodS: period(0.03),
};

export const distance = deviceKind({
  kind: 'distance sensor',
  letter: 'D',
  connection: 'sensor',
  behaviour,
  faces: true,
  lack: 'approaches fail; drive a set distance instead, or against a wall',
  channels: [
    {
      name: 'distance',
      column: { alone: 'distance', ending: '_cm', factor: 100, decimals: 2 },
      reads: { words: 'distance', quantity: 'length', most: 5 },
    },
  ],
  lostWhenWeak: 0.15,
  hidden: ({ between }) => ({
    offsetM: between(-0.004, 0.012),
    scale: between(0.985, 1.015),
    noiseM: 0.003,
    lostEchoShare: 0.02,
  }),
  noise: { noiseM: behaviour.noiseM, lostEchoShare: behaviour.lostEchoShare },
});
