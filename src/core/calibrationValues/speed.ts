import { z } from 'zod';
import { notNegative } from './fields';

const share = z.number().min(0).max(1);

/** How fast a share of full power drives: gain · volts · (share − dead band), from timed drives. */
export const speedValue = z.strictObject({
  kind: z.literal('speed'),
  gainMPerSPerV: z.number().positive().max(10),
  /** The share of power below which the robot stands. */
  deadBand: share,
  /** Relative scatter of single drives. */
  residualShare: notNegative,
  /** Mean voltage of the drives: what is said without a voltage is said at this one. */
  batteryV: z.number().positive().max(60),
  /** The weakest and the strongest power that was timed. */
  lowestCommand: share,
  highestCommand: share,
});

export type SpeedCalibration = z.output<typeof speedValue>;
