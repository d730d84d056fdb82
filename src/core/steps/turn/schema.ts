import { z } from 'zod';
import { stepId } from '../fields';

/** Spin on the spot until the reading is within `leadRad` of the wanted heading. */
export const turnSchema = z.object({
  id: stepId,
  kind: z.literal('turn'),
  mode: z.enum(['to', 'by']).default('to').describe('to a heading on the table, or by an angle'),
  angleRad: z.number().min(-20).max(20),
  direction: z.enum(['short', 'left', 'right']).default('short').describe('for mode "to"'),
  rateRadPerS: z.number().min(0.05).max(20).default(1.6),
  leadRad: z
    .number()
    .min(-0.5)
    .max(1.5)
    .default(0.08)
    .describe('how much early the motors stop; negative: late'),
});

export type TurnStep = z.output<typeof turnSchema>;
