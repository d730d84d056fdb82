import { z } from 'zod';
import { finite } from './fields';

const rate = finite.min(-1).max(1);

/** What three tests told of a heading; null: that was not tested. */
export const headingTestsValue = z.strictObject({
  kind: z.literal('heading-tests'),
  /** Which reported angle it is as the controller is mounted, and which way it grows: 1 to the left. */
  axis: z.strictObject({ name: z.string().max(40), sign: z.literal([1, -1]) }).nullable(),
  /** What starting a program does to it. */
  start: z.enum(['zeroes', 'keeps']).nullable(),
  /** How much faster it creeps while motors run. */
  motors: z.strictObject({ driftRadPerS: rate, low95: finite, high95: finite }).nullable(),
});

export type HeadingTestsCalibration = z.output<typeof headingTestsValue>;
