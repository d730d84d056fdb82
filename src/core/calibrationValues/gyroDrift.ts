import { z } from 'zod';
import { finite, notNegative } from './fields';

/** A drift to subtract: reading − drift · time. */
export const gyroDriftValue = z.strictObject({
  kind: z.literal('gyro-drift'),
  driftRadPerS: finite,
  low95: finite,
  high95: finite,
  /** Mean drift of the next run, with what the drift itself may change until then; left out: by an earlier method. */
  nextRunLow95: finite.optional(),
  nextRunHigh95: finite.optional(),
  /** Angle random walk; null where a coarse reading only bounds it. */
  walkRadPerSqrtS: notNegative.nullable().optional(),
  /** How much the drift is proved to differ from run to run. */
  wanderRadPerS: notNegative.optional(),
});

export type GyroDriftCalibration = z.output<typeof gyroDriftValue>;
