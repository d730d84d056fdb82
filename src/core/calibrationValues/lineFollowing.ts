import { z } from 'zod';
import { notNegative } from './fields';

const speed = z.number().positive().max(5);

/** How a robot follows a line's edge: what it keeps, how fast, round which bend, and when the edge is lost. */
export const lineFollowingValue = z.strictObject({
  kind: z.literal('line-following'),
  /** The reading that is kept, a share of the whole scale: the middle between line and floor. */
  targetShare: z.number().min(0).max(1),
  gainRadPerSPerShare: z.number().positive().max(1e4),
  speedMPerS: speed,
  tightestBendM: z.number().positive().max(10),
  lineWidthM: z.number().positive().max(1),
  /** Round that bend with that gain, on the simulator. */
  fastestMPerS: speed,
  /** Nothing but floor or line for so long: the edge is lost. */
  lostAfterS: notNegative.max(10),
  /** Simulated at its speed, and those that held the edge. */
  runs: z.number().int().positive(),
  held: z.number().int().nonnegative(),
});

export type LineFollowingCalibration = z.output<typeof lineFollowingValue>;
