import { z } from 'zod';
import {
  MOST_LETTERS,
  type AnyValue,
  type Description,
  type Fields,
  type NumberValue,
  type Values,
} from './description';

const MOST_ID_LETTERS = 40;

/** Names something that people do not see. */
export const idSchema = z.string().min(1).max(MOST_ID_LETTERS);

function numberSchema({ min, max, open, notZero, whole, wanted }: NumberValue): z.ZodType {
  const any = whole === true ? z.number().int('expected a whole number') : z.number();
  const from = open === undefined ? any.min(min, wanted) : any.gt(min, wanted);
  const within = open === 'both' ? from.lt(max) : from.max(max);
  return notZero === true ? within.refine((value) => value !== 0, wanted) : within;
}

function bareSchema(field: AnyValue): z.ZodType {
  if (field.is === 'number') return numberSchema(field);
  if (field.is === 'flag') return z.boolean();
  if (field.is === 'reference') return idSchema;
  if (field.is === 'text') {
    const line = z.string().trim().max(MOST_LETTERS, `expected at most ${MOST_LETTERS} characters`);
    return field.isNeeded === true ? line.min(1, field.wanted) : line;
  }
  return z.enum(Object.keys(field.options));
}

/** What checks one value. */
export function valueSchema(field: AnyValue): z.ZodType {
  const bare =
    field.orNothing === true ? bareSchema(field).nullable().default(null) : bareSchema(field);
  const whole =
    'default' in field && field.default !== undefined ? bare.default(field.default) : bare;
  const about = field.about ?? (typeof field.hint === 'string' ? field.hint : undefined);
  return about === undefined ? whole : whole.describe(about);
}

const shapeOf = (fields: Fields) =>
  Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, valueSchema(field)]));

/** What checks values within a record: those of these fields, within their limits, and nothing else. */
export const valuesSchema = <F extends Fields>(fields: F) =>
  z.strictObject(shapeOf(fields)) as unknown as z.ZodType<Values<F>>;

/** What checks a record of a kind: its fields within their limits, and nothing else. */
export const schemaOf = ({ kind, fields, optional }: Description) =>
  z.strictObject({
    id: idSchema,
    kind: z.literal(kind),
    ...shapeOf(fields),
    ...Object.fromEntries(
      Object.entries(shapeOf(optional)).map(([name, schema]) => [name, schema.optional()]),
    ),
  });
