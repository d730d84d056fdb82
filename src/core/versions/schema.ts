import { z } from 'zod';
import { broughtForward, formatOf, isKept, isKnown, type Ways } from './way';

/** The name of the form in which a record is written. */
export const formatSchema = (ways: Ways) =>
  z.literal(formatOf(ways)).optional().describe('the form in which it is written');

/**
 * Records of an earlier Corvat are brought forward by their ways before they are checked; one of a later Corvat is
 * refused. They carry the name of their form from then on.
 *
 * @param what it is, for the sentence of a refusal
 */
export const broughtToday = <Schema extends z.ZodType>(what: string, ways: Ways, schema: Schema) =>
  z.preprocess((value, context) => {
    if (!isKept(value)) return value;
    if (isKnown(value, ways)) return broughtForward(value, ways);
    context.addIssue({
      code: 'custom',
      path: ['format'],
      message: `this ${what} was kept by a later Corvat: update this one`,
      input: value,
    });
    return z.NEVER;
  }, schema);

/** What checks a record that is kept, of this shape. */
export const keptSchema = <Shape extends z.ZodRawShape>(what: string, ways: Ways, shape: Shape) =>
  broughtToday(what, ways, z.strictObject({ ...shape, format: formatSchema(ways) }));
