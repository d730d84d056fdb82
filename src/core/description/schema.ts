import { z } from 'zod';
import {
  MOST_LETTERS,
  type AnyValue,
  type Description,
  type Fields,
  type NumberValue,
  type ValueOf,
  type Values,
} from './description';

const MOST_ID_LETTERS = 40;

/** Names something that people do not see. */
export const idSchema = z.string().min(1).max(MOST_ID_LETTERS);

function numberSchema({ min, max, open, notZero, whole, wanted, beyond }: NumberValue): z.ZodType {
  const any = whole === true ? z.number().int('expected a whole number') : z.number();
  const below = wanted ?? (min === -max ? beyond : undefined);
  const from = open === undefined ? any.min(min, below) : any.gt(min, below);
  const within = open === 'both' ? from.lt(max, beyond) : from.max(max, beyond);
  return notZero === true ? within.refine((value) => value !== 0, wanted) : within;
}

/** What checks parts that have a shape of their own, by its name. */
export type Parts = Readonly<Record<string, z.ZodType>>;
const NO_PARTS: Parts = {};

function bareSchema(field: AnyValue, parts: Parts): z.ZodType {
  if (field.is === 'number') return numberSchema(field);
  if (field.is === 'flag') return z.boolean();
  if (field.is === 'reference') return idSchema;
  if (field.is === 'part') return parts[field.shape] ?? z.never();
  if (field.is === 'text') {
    const { mostLetters = MOST_LETTERS, isNeeded, wanted } = field;
    const line = z.string().trim().max(mostLetters, `expected at most ${mostLetters} characters`);
    return isNeeded === true ? line.min(1, wanted) : line;
  }
  if (field.is === 'numeral') {
    return z.literal(Object.keys(field.options).map(Number));
  }
  return z.enum(Object.keys(field.options));
}

/** What checks one value. */
export function valueSchema<F extends AnyValue>(
  field: F,
  parts?: Parts,
): z.ZodType<ValueOf<F>, ValueOf<F>>;
export function valueSchema(field: AnyValue, parts: Parts = NO_PARTS): z.ZodType {
  const bare =
    field.orNothing === true
      ? bareSchema(field, parts).nullable().default(null)
      : bareSchema(field, parts);
  const whole =
    'default' in field && field.default !== undefined ? bare.default(field.default) : bare;
  const about = field.about ?? (typeof field.hint === 'string' ? field.hint : undefined);
  return about === undefined ? whole : whole.describe(about);
}

/** What checks each value by its name; any may have a default. */
type ShapeOf<F extends Fields> = {
  [N in keyof F]: z.ZodDefault<z.ZodType<ValueOf<F[N]>, ValueOf<F[N]>>>;
};

/** What checks each of these values, for a record that holds others, too. */
export const shapeOf = <F extends Fields>(fields: F, parts: Parts = NO_PARTS) =>
  Object.fromEntries(
    Object.entries(fields).map(([name, field]) => [name, valueSchema(field, parts)]),
  ) as unknown as ShapeOf<F>;

/** What checks values within a record: those of these fields, within their limits, and nothing else. */
export const valuesSchema = <F extends Fields>(fields: F) => z.strictObject(shapeOf(fields));

/** The same within a record that may leave all of it out. */
export const partSchema = <F extends Fields>(fields: F) =>
  valuesSchema(fields).prefault({} as never) as unknown as z.ZodPrefault<
    z.ZodType<Values<F>, Partial<Values<F>>>
  >;

/** What checks a record of a kind: its fields within their limits, and nothing else. */
export const schemaOf = ({ kind, fields, optional }: Description, parts: Parts = NO_PARTS) =>
  z.strictObject({
    id: idSchema,
    kind: z.literal(kind),
    ...shapeOf(fields, parts),
    ...Object.fromEntries(
      Object.entries(shapeOf(optional, parts)).map(([name, schema]) => [name, schema.optional()]),
    ),
  });
