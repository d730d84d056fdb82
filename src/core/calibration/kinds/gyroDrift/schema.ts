import { z } from 'zod';
import { finite } from '../fields';

/** A drift to subtract: reading − drift · time. */
export const gyroDriftValue = z.object({
  kind: z.literal('gyro-drift'),
  driftRadPerS: finite,
  low95: finite,
  high95: finite,
});

export type GyroDriftCalibration = z.output<typeof gyroDriftValue>;
