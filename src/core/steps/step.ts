import { z } from 'zod';
import { schemaOf } from '../description/schema';
import { STEP_DESCRIPTIONS, type Step } from './descriptions';

const [first, ...others] = Object.values(STEP_DESCRIPTIONS).map(schemaOf);

/** A step of a route: what each kind has stands in its own folder. */
export const stepSchema = z.discriminatedUnion('kind', [
  first as NonNullable<typeof first>,
  ...others,
]) as unknown as z.ZodType<Step>;

export type { Step, StepOf } from './descriptions';
