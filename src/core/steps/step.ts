import { z } from 'zod';
import { approachSchema } from './approach/schema';
import { markSchema } from './mark/schema';
import { squareUpSchema } from './squareUp/schema';
import { straightSchema } from './straight/schema';
import { turnSchema } from './turn/schema';

/** A step of a route. What is known of each kind stands in its own folder; `registry.ts` lists them. */
export const stepSchema = z.discriminatedUnion('kind', [
  straightSchema,
  turnSchema,
  approachSchema,
  squareUpSchema,
  markSchema,
]);

export type Step = z.output<typeof stepSchema>;
export type StepOf<K extends Step['kind']> = Extract<Step, { kind: K }>;
