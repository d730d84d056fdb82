import { z } from 'zod';
import { notNegative } from './fields';

/** What it costs to switch a unit from one of its modes to the other. */
export const modeSwitchValue = z.strictObject({
  kind: z.literal('mode-switch'),
  switchS: notNegative.max(10),
  low95S: notNegative.max(20),
  high95S: notNegative.max(20),
  /** Readings after a switch that are still those of before. */
  oldReadings: z.number().int().nonnegative().max(100),
  switches: z.number().int().positive(),
});

export type ModeSwitchCalibration = z.output<typeof modeSwitchValue>;
