import { z } from 'zod';
import { valueSchema } from '../../description/schema';
import { CONDITION, type Condition, type Single } from './condition';

/** So deep conditions stand within each other at most, and so many in one. */
const MOST_LEVELS = 3;
const MOST_PARTS = 6;

/** What a condition looks at: a unit by its label, the heading on the table, volts, the step's time, or a motor. */
const readingSchema = z.union(
  [
    z.enum(['heading', 'volts', 'time']),
    z.strictObject({
      unit: z.string().min(1).max(40).describe('the label of a unit'),
      channel: z.string().min(1).max(40).describe('what it reads: distance, light, touch, …'),
    }),
    z.strictObject({
      motor: z.string().min(1).max(40).describe('the label of a motor; its angle since the start'),
    }),
  ],
  'expected heading, volts, time, a unit with its channel, or a motor',
);

const singleSchema = z.strictObject({
  reading: readingSchema,
  is: z.enum(['above', 'below', 'changed', 'still']),
  value: valueSchema(CONDITION.value),
  confirmations: valueSchema(CONDITION.confirmations),
  timeoutS: valueSchema(CONDITION.timeoutS).optional(),
});

function conditionOver(levels: number): z.ZodType<Condition> {
  if (levels === 0) return singleSchema as unknown as z.ZodType<Condition>;
  const parts = z
    .array(conditionOver(levels - 1))
    .min(1)
    .max(MOST_PARTS);
  return z.union(
    [
      singleSchema as unknown as z.ZodType<Single>,
      z.strictObject({ all: parts }),
      z.strictObject({ any: parts }),
    ],
    'expected a reading with what it is, or "all" or "any" with a list of conditions',
  );
}

/** What ends a motion, a wait or a repetition, or decides which steps are made. */
export const conditionSchema = conditionOver(MOST_LEVELS - 1);
