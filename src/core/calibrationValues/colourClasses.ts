import { z } from 'zod';
import { COLOUR_NUMBERS } from '../colour/inequalities';

const words = (most: number) => z.string().max(most);
const counts = z.tuple([z.number(), z.number(), z.number()]);
const share = z.number().min(0).max(1);

/** Shares or percent, and degrees of a hue; all bands of one of the boxes hold. */
const boxes = z
  .array(
    z
      .array(
        z.strictObject({
          by: z.enum(COLOUR_NUMBERS),
          low: z.number().nullable(),
          high: z.number().nullable(),
        }),
      )
      .max(10),
  )
  .max(4);

/** By which inequalities a program tells colours apart, and how often readings were mistaken. */
export const colourClassesValue = z.strictObject({
  kind: z.literal('colour-classes'),
  /** By which numbers. */
  representation: words(40),
  rules: z
    .array(
      z.strictObject({
        name: words(40),
        sentence: words(400),
        /** Null: only the sentence was kept, or the sensor names its colours itself. */
        boxes: boxes.nullable().default(null),
      }),
    )
    .min(2)
    .max(40),
  /** What red, green and blue read over white and black, where the rules are told in percent of white; null: in counts. */
  references: z.strictObject({ white: counts, black: counts }).nullable().default(null),
  /** Red, green and blue count to so much. */
  countsTo: z.number().positive().nullable().default(null),
  errorRate: share,
  errorHigh95: share,
  n: z.number().int().min(4),
});

export type ColourClassesCalibration = z.output<typeof colourClassesValue>;
