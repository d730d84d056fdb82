import { z } from 'zod';
import type { AnyValue, Description, Fields, NumberValue, Values } from './description';

const MOST_ID_LETTERS = 40;

/** Names something that people do not see. */
export const idSchema = z.string().min(1).max(MOST_ID_LETTERS);

function numberSchema({ min, max, open }: NumberValue): z.ZodType {
  const from = open === undefined ? z.number().min(min) : z.number().gt(min);
  return open === 'both' ? from.lt(max) : from.max(max);
}

function bareSchema(field: AnyValue): z.ZodType {
  if (field.is === 'number') return numberSchema(field);
  if (field.is === 'flag') return z.boolean();
  if (field.is === 'reference') return idSchema;
  return z.enum(Object.keys(field.options));
}

function valueSchema(field: AnyValue): z.ZodType {
  const bare = bareSchema(field);
  const whole =
    'default' in field && field.default !== undefined ? bare.default(field.default) : bare;
  return field.about === undefined ? whole : whole.describe(field.about);
}

const shapeOf = (fields: Fields) =>
  Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, valueSchema(field)]));

/** What checks values within a record: those of these fields, within their limits, and nothing else. */
export const valuesSchema = <F extends Fields>(fields: F) =>
  z.strictObject(shapeOf(fields)) as unknown as z.ZodType<Values<F>>;

/** What checks a record of a kind: its fields within their limits, and nothing else. */
export const schemaOf = ({ kind, fields, optional }: Description) =>
  z.strictObject({
    id: idSchema.optional(),
    kind: z.literal(kind),
    ...shapeOf(fields),
    ...Object.fromEntries(
      Object.entries(shapeOf(optional)).map(([name, schema]) => [name, schema.optional()]),
    ),
  });
