import { z } from 'zod';
import { broughtForward, formatOf, isKept, isKnown, type Ways } from './way';

/**
 * What checks a record that is kept: one of an earlier Corvat is brought forward by its ways first, one of a later
 * Corvat is refused. It carries the name of its form from then on.
 *
 * @param what it is, for the sentence of a refusal
 */
export function keptSchema<Shape extends z.ZodRawShape>(what: string, ways: Ways, shape: Shape) {
  const format = z.literal(formatOf(ways)).optional().describe('the form in which it is written');
  return z.preprocess(
    (value, context) => {
      if (!isKept(value)) return value;
      if (isKnown(value, ways)) return broughtForward(value, ways);
      context.addIssue({
        code: 'custom',
        path: ['format'],
        message: `this ${what} was kept by a later Corvat: update this one`,
        input: value,
      });
      return z.NEVER;
    },
    z.strictObject({ ...shape, format }),
  );
}
