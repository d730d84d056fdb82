import { z } from 'zod';
import { unitKind } from '../kind';

/** How a motor that moves an attachment behaves. */
export const attachmentBehaviour = z.object({
  countsPerMotorDegree: z.number().positive().max(10_000).default(1),
});

export const attachment = unitKind({
  kind: 'attachment motor',
  letter: 'A',
  connection: 'motor',
  behaviour: attachmentBehaviour.prefault({}),
  single: false,
  isBuiltInSomewhere: false,
  faces: false,
  lack: null,
  column: { alone: 'attachment', ending: '_deg', factor: 1, decimals: 0 },
});
