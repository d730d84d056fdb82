import { z } from 'zod';
import { unitKind } from '../kind';

/** How a touch sensor behaves: whatever comes near enough to where it sits, in the direction it looks, presses it. */
export const touchBehaviour = z.object({
  reachM: z
    .number()
    .positive()
    .max(0.05)
    .default(0.003)
    .describe('pressed by what is no farther off than this'),
  readsWhilePressed: z.boolean().default(true).describe('many switches read false while pressed'),
});

export const touch = unitKind({
  kind: 'touch sensor',
  letter: 'T',
  connection: 'sensor',
  behaviour: touchBehaviour.prefault({}),
  single: false,
  isBuiltInSomewhere: false,
  faces: true,
  lack: null,
  // A robot's own button is the column "touch".
  column: { alone: 'bumper', ending: '_touch', factor: 1, decimals: 0 },
});
