import { z } from 'zod';
import { finite, notNegative } from './fields';

const share = z.number().min(0).max(1);
const words = z.string().max(40);

/** Between which readings a light sensor parts a line from the floor, somewhere; in the sensor's own scale. */
export const lightThresholdValue = z.strictObject({
  kind: z.literal('light-threshold'),
  /** Where, and in which light; empty: nobody said. */
  venue: words,
  lighting: words,
  /** The largest reading; null: not known. */
  full: z.number().positive().nullable(),
  lineIs: z.enum(['darker', 'lighter']),
  threshold: finite,
  enter: finite,
  leave: finite,
  /** What both read, and by how much readings at places never tried spread. */
  lineReads: finite,
  lineSd: notNegative,
  floorReads: finite,
  floorSd: notNegative,
  /** Of the places of one surface, and of readings that stay in their place. */
  readingSd: notNegative,
  /** In which readings are shown; 0: none is seen. */
  step: notNegative,
  errorRate: share,
  errorHigh95: share,
  heightM: notNegative.max(1).nullable(),
  n: z.number().int().min(2),
});

export type LightThresholdCalibration = z.output<typeof lightThresholdValue>;
