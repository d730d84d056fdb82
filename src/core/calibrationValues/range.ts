import { z } from 'zod';
import { finite, notNegative } from './fields';

/** Straight with the distance, or bent; an earlier Corvat knew only the bent law. */
const voltLaw = z.union([
  z.strictObject({
    atZeroV: z.number().min(-1000).max(1000),
    perMV: z.number().min(-1e4).max(1e4),
  }),
  z.strictObject({
    baseV: z.number().min(-60).max(60),
    scaleVM: z.number().min(-1e4).max(1e4),
    shiftM: z.number().min(-5).max(50),
  }),
]);

/** How a distance sensor reads: reading = offset + scaleFactor · true. */
export const rangeValue = z.strictObject({
  kind: z.literal('range'),
  offsetM: z.number().min(-1).max(1),
  offsetSeM: notNegative,
  scaleFactor: z.number().min(0.2).max(5),
  scaleFactorSe: notNegative,
  /** At this distance errors of scale and offset are independent, and this is that of a mean reading; left out: by an earlier method. */
  atMid: z.strictObject({ distanceM: finite, seM: notNegative }).optional(),
  noiseM: notNegative,
  /** The step in which it reads; 0, or left out: none was seen, as the record says. */
  quantumM: notNegative.optional(),
  /** Share of echoes that were lost, of those within its range. */
  lostRate: z.number().min(0).max(1),
  validFromM: notNegative,
  validToM: notNegative,
  /** Of a sensor that shows volts: how they go with the distance. */
  volts: voltLaw.optional(),
});

export type RangeCalibration = z.output<typeof rangeValue>;
