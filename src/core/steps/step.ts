import { z } from 'zod';
import { schemaOf } from '../description/schema';
import { MADE_MEANWHILE } from './meanwhile/description';
import { conditionSchema } from './condition/schema';
import {
  MOTION_DESCRIPTIONS,
  OWNER_DESCRIPTIONS,
  type MotionStep,
  type OwnerStep,
  type Step,
} from './descriptions';

/** Steps stand within each other so deep at most. */
const MOST_LEVELS = 4;
/** A route has so many at most, and so has a list. */
export const MOST_STEPS = 300;

/** What steps hold that has a shape of its own. */
const PARTS = { condition: conditionSchema };

const [first, ...others] = Object.values(MOTION_DESCRIPTIONS).map((one) => schemaOf(one, PARTS));
const motions = [first as NonNullable<typeof first>, ...others] as const;
/** A step that owns none: what each kind has stands in its own folder. */
export const motionSchema = z.discriminatedUnion('kind', motions, {
  error: `expected a motion: steps stand at most ${MOST_LEVELS} levels within each other`,
}) as unknown as z.ZodType<MotionStep>;

/** What may be made while the wheels are busy. */
const [armOf, markOf] = MADE_MEANWHILE.map((one) => schemaOf(one, PARTS));
const madeMeanwhile = z
  .array(
    z.discriminatedUnion('kind', [armOf as never, markOf as never], {
      error: 'expected an arm or a mission: the wheels are busy meanwhile',
    }),
  )
  .max(MOST_STEPS);

const MOST_COLOURS = 8;
const TOO_MANY_COLOURS = `expected at most ${MOST_COLOURS} colours`;
/** A colour as the team calls it; a point would part the places of lists. */
const colourName = z
  .string()
  .min(1)
  .max(40)
  .regex(/^[^.]+$/, 'expected a name without a full stop');

/** A decision is told by what it looks at: by a colour it is a kind of its own. */
const withItsKind = (value: unknown): unknown =>
  typeof value === 'object' &&
  value !== null &&
  'colour' in value &&
  'kind' in value &&
  value.kind === 'decide'
    ? { ...value, kind: 'decide-colour' }
    : value;

type ListSchema = z.ZodType<Step[]>;

/** The lists of each kind that owns steps. */
const LISTS: { [K in OwnerStep['kind']]: (list: ListSchema) => Record<string, z.ZodType> } = {
  part: (steps) => ({ steps }),
  repeat: (steps) => ({ steps }),
  decide: (list) => ({ then: list.default([]), else: list.default([]) }),
  'decide-colour': (list) => ({
    classes: z
      .record(colourName, list.default([]))
      .refine((classes) => Object.keys(classes).length > 0, 'expected a colour at least')
      .refine((classes) => Object.keys(classes).length <= MOST_COLOURS, TOO_MANY_COLOURS),
    otherwise: list.default([]),
  }),
  meanwhile: () => ({
    motion: motionSchema,
    up: madeMeanwhile.default([]),
    down: madeMeanwhile.default([]),
  }),
};
const owners = Object.values(OWNER_DESCRIPTIONS).map((one) => ({
  own: schemaOf(one, PARTS),
  lists: LISTS[one.kind],
}));

const listOf = (step: z.ZodType<Step>) => z.array(step).max(MOST_STEPS);

/** A step under which so many levels may stand. */
function stepOver(levels: number): z.ZodType<Step> {
  if (levels === 0) return motionSchema;
  const steps = listOf(stepOver(levels - 1));
  const owning = owners.map(({ own, lists }) => own.extend(lists(steps)));
  const any = z.discriminatedUnion('kind', [...motions, ...owning]);
  return z.preprocess(withItsKind, any) as unknown as z.ZodType<Step>;
}

/** A step of a route. */
export const stepSchema = stepOver(MOST_LEVELS - 1);

/** The steps of a route. */
export const stepsSchema = listOf(stepSchema);

export type { MotionStep, Step } from './descriptions';
