import fc from 'fast-check';
import { z } from 'zod';

/** The part of JSON Schema that Zod makes of the procedures' inputs. */
interface Schema {
  type?: string;
  const?: unknown;
  enum?: unknown[];
  anyOf?: Schema[];
  oneOf?: Schema[];
  allOf?: Schema[];
  properties?: Record<string, Schema>;
  required?: string[];
  additionalProperties?: Schema | boolean;
  items?: Schema;
  minItems?: number;
  maxItems?: number;
  minimum?: number;
  maximum?: number;
  exclusiveMinimum?: number;
  exclusiveMaximum?: number;
  minLength?: number;
  maxLength?: number;
  pattern?: string;
  $ref?: string;
  $defs?: Record<string, Schema>;
}

/** Lists hold so many at most; lists within lists half of that, and so on. */
const MOST_ITEMS = 12;

/** Numbers within limits: at the edges, at zero, round ones, ones that come again, and of every size. */
function numbers({ minimum, maximum, exclusiveMinimum, exclusiveMaximum, type }: Schema) {
  const low = Math.max(minimum ?? exclusiveMinimum ?? -1e9, -1e12);
  const high = Math.min(maximum ?? exclusiveMaximum ?? 1e9, 1e12);
  const isInside = (value: number) =>
    value >= low &&
    value <= high &&
    !(value <= (exclusiveMinimum ?? -Infinity)) &&
    !(value >= (exclusiveMaximum ?? Infinity));
  if (type === 'integer') {
    return fc.oneof(
      fc.integer({ min: Math.max(low, -1000), max: Math.min(high, 1000) }),
      fc.constantFrom(...[low, high, 0, 1, 2].filter(isInside)),
    );
  }
  const usual = [low, high, 0, 1e-9, 1e-3, 0.01, 0.1, 0.3, 0.5, 1, 1.57, 2, -1, -0.1, 20].filter(
    isInside,
  );
  const sized = fc
    .tuple(fc.double({ min: -9, max: Math.log10(Math.max(high, 1e-8)), noNaN: true }), fc.boolean())
    .map(([exponent, negative]) => (negative ? -1 : 1) * 10 ** exponent)
    .filter(isInside);
  const even = fc.double({ min: low, max: high, noNaN: true }).filter(isInside);
  return usual.length === 0
    ? even
    : fc.oneof({ weight: 3, arbitrary: fc.constantFrom(...usual) }, sized, even);
}

/** Values that a schema lets in, but for what Zod checks beside it. */
function valuesOf(schema: Schema, root: Schema, depth = 0): fc.Arbitrary<unknown> {
  if (schema.$ref !== undefined) {
    const name = schema.$ref.split('/').at(-1) ?? '';
    return valuesOf(root.$defs?.[name] ?? {}, root, depth);
  }
  if (schema.const !== undefined) return fc.constant(schema.const);
  if (schema.enum !== undefined) return fc.constantFrom(...schema.enum);
  const options = schema.anyOf ?? schema.oneOf;
  if (options !== undefined) return fc.oneof(...options.map((one) => valuesOf(one, root, depth)));
  if (schema.allOf !== undefined) {
    return valuesOf(Object.assign({}, ...schema.allOf) as Schema, root, depth);
  }
  switch (schema.type ?? '') {
    case 'null':
      return fc.constant(null);
    case 'boolean':
      return fc.boolean();
    case 'integer':
    case 'number':
      return numbers(schema);
    case 'string':
      return schema.pattern?.startsWith('^#') === true
        ? fc.constantFrom('#c81e1e', '#ffffff', '#000000')
        : fc.constantFrom('A', 'B', 'left');
    case 'array': {
      const items = valuesOf(schema.items ?? {}, root, depth + 1);
      const within = Math.max(2, MOST_ITEMS >> depth);
      const most = Math.min(schema.maxItems ?? within, within);
      const length = { minLength: Math.min(schema.minItems ?? 0, most), maxLength: most };
      // What has a name, or an id, of its own is told from its neighbours by it.
      const own = ['id', 'name'].find((name) => schema.items?.required?.includes(name));
      if (own === undefined) return fc.array(items, length);
      return fc.uniqueArray(items, { ...length, selector: (one) => (one as never)[own] });
    }
    case 'object': {
      const { properties = {}, required = [], additionalProperties: named } = schema;
      if (typeof named === 'object') {
        const key = fc.constantFrom('red', 'green', 'A');
        return fc.dictionary(key, valuesOf(named, root, depth), { minKeys: 1, maxKeys: 3 });
      }
      const model = Object.fromEntries(
        Object.entries(properties).map(([name, one]) => [name, valuesOf(one, root, depth)]),
      );
      return fc.record(model, { requiredKeys: required });
    }
    default:
      return fc.constant({});
  }
}

/** Input of a procedure, as its own schema lets it in. */
export function legalInput(input: z.ZodType): fc.Arbitrary<unknown> {
  const schema = z.toJSONSchema(input, { io: 'input', unrepresentable: 'any' }) as Schema;
  return valuesOf(schema, schema).filter((value) => input.safeParse(value).success);
}
