import { radiansFromDegrees } from '../../geometry/angle';
import { number } from '../../description/description';
import { deviceKind } from '../kind';
import { period } from './sharedFields';

/** How a heading sensor behaves. The raw reading is zero at the start of the program. */
const behaviour = {
  driftRadPerS: number({
    label: 'Drift',
    about: 'mean drift of the reading, d(reading − truth)/dt',
    quantity: 'drift',
    min: -1,
    max: 1,
    default: 0,
  }),
  driftSdRadPerS: number({
    label: 'Drift differs by ±',
    about: 'how much the drift differs from run to run',
    quantity: 'drift size',
    min: 0,
    max: 1,
    default: 0,
  }),
  noiseRadPerSqrtS: number({
    label: 'Wanders by itself',
    about: 'angle random walk N',
    quantity: 'angle random walk',
    min: 0,
    max: 1,
    default: 0.00017,
  }),
  scaleError: number({
    label: 'Scale error',
    about: 'reading per true turn, minus one',
    quantity: 'share',
    min: -0.5,
    max: 0.5,
    open: 'both',
    default: 0,
  }),
  quantumRad: number({
    label: 'Smallest step',
    about: 'smallest step of the reading; 0 for none',
    quantity: 'angle',
    min: 0,
    max: 1,
    default: 0.00174533,
  }),
  periodS: period(0.01),
  latencyS: number({
    label: 'Latency',
    quantity: 'short time',
    min: 0,
    max: 0.5,
    default: 0.01,
  }),
};

export const heading = deviceKind({
  kind: 'heading sensor',
  letter: 'H',
  connection: 'sensor',
  behaviour,
  single: true,
  isBuiltInSomewhere: true,
  lack: 'turns and straight drives go by the encoders alone, and slip is not seen',
  channels: [],
  hidden: ({ between, either }) => ({
    driftRadPerS: 0,
    driftSdRadPerS: 0,
    scaleError: either() * between(0.002, 0.008),
    latencyS: between(0.01, 0.03),
    noiseRadPerSqrtS: radiansFromDegrees(between(0.008, 0.02)),
  }),
  noise: { noiseRadPerSqrtS: behaviour.noiseRadPerSqrtS },
});
