import { z } from 'zod';
import { finite, notNegative } from '../fields';

const turnGroup = z.object({
  direction: z.enum(['left', 'right', 'both']),
  rateRadPerS: z.number().positive().nullable(),
  rates: z.array(z.number().positive()).min(1),
  kind: z.enum(['spin', 'pivot']),
  constantRad: finite,
  scaleError: z.number().gt(-0.9),
  residualSdRad: notNegative.nullable(),
  n: z.number().int().positive(),
});

/** How far turns go too far. */
export const turnsValue = z.object({
  kind: z.literal('turns'),
  groups: z.array(turnGroup).min(1),
  lagS: notNegative.nullable(),
  brakingRadPerS2: z.number().positive().nullable(),
});

export type TurnsCalibration = z.output<typeof turnsValue>;
