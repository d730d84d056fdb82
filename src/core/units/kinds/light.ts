import { z } from 'zod';
import { unitKind } from '../kind';

const share = z.number().min(0).max(1);

/** How a light sensor behaves that looks at the floor: it reads the mean over its spot. */
export const lightBehaviour = z.object({
  spotDiameterM: z.number().positive().max(0.2).default(0.012),
  floorShare: share.default(0.6).describe('what it reads over the bare floor, of 1'),
  lineShare: share.default(0.12).describe('what it reads over a line, of 1'),
  noiseShare: share.default(0.012),
  periodS: z.number().positive().max(0.5).default(0.01),
});

export const light = unitKind({
  kind: 'light sensor',
  letter: 'L',
  connection: 'sensor',
  behaviour: lightBehaviour.prefault({}),
  single: false,
  isBuiltInSomewhere: false,
  faces: false,
  lack: null,
  column: { alone: 'light', ending: '_percent', factor: 100, decimals: 0 },
});
