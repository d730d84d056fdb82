import { z } from 'zod';
import { unitKind } from '../kind';

const notNegative = z.number().nonnegative();

/** How a heading sensor behaves. The raw reading is zero at the start of the program. */
export const headingBehaviour = z.object({
  driftRadPerS: z
    .number()
    .min(-1)
    .max(1)
    .default(0)
    .describe('mean drift of the reading, d(reading − truth)/dt'),
  driftSdRadPerS: notNegative
    .max(1)
    .default(0)
    .describe('how much the drift differs from run to run'),
  noiseRadPerSqrtS: notNegative.max(1).default(0.00017).describe('angle random walk N'),
  scaleError: z.number().gt(-0.5).lt(0.5).default(0).describe('reading per true turn, minus one'),
  quantumRad: notNegative
    .max(1)
    .default(0.00174533)
    .describe('smallest step of the reading; 0 for none'),
  periodS: z.number().positive().max(0.5).default(0.01),
  latencyS: notNegative.max(0.5).default(0.01),
});

export const heading = unitKind({
  kind: 'heading sensor',
  letter: 'H',
  connection: 'sensor',
  behaviour: headingBehaviour.prefault({}),
  single: true,
  isBuiltInSomewhere: true,
  faces: false,
  lack: 'turns and straight drives go by the encoders alone, and slip is not seen',
  column: null,
});
