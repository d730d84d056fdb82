import { z } from 'zod';
import { finite } from './fields';

const share = z.number().min(0).max(1);

/** From which reading on something is there, in the sensor's own scale. */
export const presenceValue = z.strictObject({
  kind: z.literal('presence'),
  by: z.string().max(40),
  target: z.string().max(40),
  /** Null: whatever comes back tells. */
  thereIs: z.enum(['lower', 'higher']).nullable(),
  threshold: finite.nullable(),
  /** In which readings are shown; 0: none is seen. */
  step: z.number().nonnegative(),
  enter: finite.nullable(),
  leave: finite.nullable(),
  missRate: share,
  missHigh95: share,
  falseRate: share,
  falseHigh95: share,
  /** Below this battery voltage echoes were lost; null: nobody noted it, or none was. */
  lostBelowV: z.number().positive().max(60).nullable().default(null),
  n: z.number().int().min(2),
});

export type PresenceCalibration = z.output<typeof presenceValue>;
