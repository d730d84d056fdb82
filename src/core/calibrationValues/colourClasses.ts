import { z } from 'zod';

const words = (most: number) => z.string().max(most);
const counts = z.tuple([z.number(), z.number(), z.number()]);
const share = z.number().min(0).max(1);

/** By which inequalities a program tells colours apart, and how often readings were mistaken. */
export const colourClassesValue = z.strictObject({
  kind: z.literal('colour-classes'),
  /** By which numbers. */
  representation: words(40),
  rules: z
    .array(z.strictObject({ name: words(40), sentence: words(400) }))
    .min(2)
    .max(40),
  /** What red, green and blue read over white and black, where the rules are told in percent of white; null: in counts. */
  references: z.strictObject({ white: counts, black: counts }).nullable().default(null),
  errorRate: share,
  errorHigh95: share,
  n: z.number().int().min(4),
});

export type ColourClassesCalibration = z.output<typeof colourClassesValue>;
